import type { Athlete, Invite, Member } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useAccount, useMembership } from "~/data/account/useAccount";
import { useAthletes } from "~/data/resources/athletes";
import { useInvites, useWithdrawInvite } from "~/data/resources/invites";
import { useMembers } from "~/data/resources/members";
import { Button } from "~/ui/Button";
import { deviceDay } from "~/ui/dates";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { Section } from "~/ui/layout/Section";
import { Sheet } from "~/ui/layout/Sheet";
import { ROLE_NAMES } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { InviteForm } from "./InviteForm";
import { MemberForm } from "./MemberForm";
import { OpenLinks } from "./OpenLinks";

/** Who belongs to the club, as what, and who is invited. */
export function MembersScreen() {
  const members = useMembers();
  const athletes = useAthletes();
  const { demo } = useMembership();
  const [inviting, setInviting] = useState(false);
  const [changing, setChanging] = useState<Member | null>(null);
  return (
    <Screen
      title={words.members}
      back="/club"
      action={demo ? undefined : <Button label="Invite" icon="add" onPress={() => setInviting(true)} />}
    >
      {demo ? (
        <Notice text="In the demo nobody is invited; in a club of your own an owner does that here." />
      ) : null}
      <Loaded query={members}>
        {(list) => (
          <View role="list" aria-label={words.members}>
            {list.map((member) => (
              <MemberRow
                key={member.userId}
                member={member}
                athletes={athletes.data ?? []}
                onChange={() => setChanging(member)}
              />
            ))}
          </View>
        )}
      </Loaded>
      <OpenInvites athletes={athletes.data ?? []} />
      <OpenLinks />
      {inviting ? (
        <Sheet title="Invite somebody" onClose={() => setInviting(false)}>
          <InviteForm athletes={athletes.data ?? []} />
        </Sheet>
      ) : null}
      {changing ? (
        <Sheet title={changing.name} onClose={() => setChanging(null)}>
          <MemberForm member={changing} athletes={athletes.data ?? []} onDone={() => setChanging(null)} />
        </Sheet>
      ) : null}
    </Screen>
  );
}

const nameOf = (athletes: readonly Athlete[], id: string | null) =>
  athletes.find((a) => a.id === id)?.name ?? null;

function MemberRow({
  member,
  athletes,
  onChange,
}: {
  member: Member;
  athletes: readonly Athlete[];
  onChange: () => void;
}) {
  const { me } = useAccount();
  const isMe = member.userId === me?.id;
  const own = member.role === "athlete" ? (nameOf(athletes, member.athleteId) ?? "nobody") : null;
  return (
    <Row
      title={isMe ? `${member.name} (you)` : member.name}
      detail={[ROLE_NAMES[member.role], own ? `sees ${own}` : null, member.email].filter(Boolean).join(", ")}
      action={<Button label={`Change ${member.name}`} short="Change" onPress={onChange} />}
    />
  );
}

function OpenInvites({ athletes }: { athletes: readonly Athlete[] }) {
  const invites = useInvites();
  const withdraw = useWithdrawInvite();
  if (!invites.data || invites.data.length === 0) return null;
  return (
    <Section title="Invited">
      {withdraw.error ? <Notice warn text={withdraw.error.message} /> : null}
      <View role="list" aria-label="Invitations">
        {invites.data.map((invite) => (
          <Row
            key={invite.id}
            title={inviteTitle(invite, athletes)}
            detail={[
              invite.madeBy ? `Made by ${invite.madeBy}` : null,
              `link good until ${deviceDay(invite.expiresAt)}`,
            ]
              .filter(Boolean)
              .join(", ")}
            action={
              <Button
                label={words.withdraw}
                disabled={withdraw.isPending}
                onPress={() => withdraw.mutate(invite.id)}
              />
            }
          />
        ))}
      </View>
    </Section>
  );
}

function inviteTitle({ role, athleteId }: Invite, athletes: readonly Athlete[]): string {
  const own = nameOf(athletes, athleteId);
  return own ? `${ROLE_NAMES[role]}, ${own}` : ROLE_NAMES[role];
}
