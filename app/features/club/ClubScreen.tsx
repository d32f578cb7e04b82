import { clubInputSchema } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { useAccount, useMay, useMembership } from "~/data/account/useAccount";
import { useLeaveClub, useRenameClub } from "~/data/resources/club";
import { ThemeButton } from "~/features/theme/ThemeButton";
import { Button } from "~/ui/Button";
import { NameForm } from "~/ui/fields/NameForm";
import { useWide } from "~/ui/hooks/useWide";
import { Notice } from "~/ui/layout/Notice";
import { LinkRow } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { ROLE_AS, ROLE_MEANS } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { ClubFile } from "./ClubFile";
import { DeleteClub } from "./DeleteClub";

type Open = "rename" | "leave" | "delete" | "file" | null;

/** The club: who is in it, what happened in it, and what concerns all of it. */
export function ClubScreen() {
  const club = useMembership();
  const { me } = useAccount();
  const manages = useMay("manage");
  const builds = useMay("build");
  const reads = useMay("read");
  const wide = useWide();
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);
  return (
    <Screen
      title={club.name}
      over={`You are here ${ROLE_AS[club.role]}`}
      action={wide ? undefined : <ThemeButton iconOnly />}
    >
      {club.demo ? (
        <Notice text="This demo club is yours alone, and is cleared a day after you opened it. Try anything." />
      ) : null}
      <Text className="font-text text-body text-muted">{ROLE_MEANS[club.role]}.</Text>
      <View role="list">
        <LinkRow href="/account" title="Your account" detail={me ? `${me.name}, ${me.email}` : ""} />
        {manages ? (
          <LinkRow href="/club/members" title={words.members} detail="Roles and invitations" />
        ) : null}
        {reads ? (
          <LinkRow
            href="/club/athletes"
            title={words.athletes}
            detail="Who starts: scales, sore parts, how they warm up"
          />
        ) : null}
        {reads ? <LinkRow href="/club/events" title={words.events} detail="What a start asks for" /> : null}
        {reads ? (
          <LinkRow href="/club/figures" title={words.figures} detail="What the checks of a warm-up go by" />
        ) : null}
        {builds ? (
          <LinkRow
            href="/club/calendars"
            title={words.calendars}
            detail="Days in a calendar that keeps itself up to date"
          />
        ) : null}
        {manages ? <LinkRow href="/club/history" title={words.history} detail="Who changed what" /> : null}
      </View>
      <View className="gap-2">
        {builds ? <Button label="Export or import" onPress={() => setOpen("file")} /> : null}
        {manages ? <Button label="Rename the club" onPress={() => setOpen("rename")} /> : null}
        <Button label="Leave the club" onPress={() => setOpen("leave")} />
        {manages ? <Button label="Delete the club" icon="remove" onPress={() => setOpen("delete")} /> : null}
      </View>
      {open === "file" ? (
        <Sheet title="Export or import" onClose={close}>
          <ClubFile />
        </Sheet>
      ) : null}
      {open === "rename" ? (
        <Sheet title="Rename the club" onClose={close}>
          <Rename onDone={close} />
        </Sheet>
      ) : null}
      {open === "leave" ? (
        <Sheet title={`Leave ${club.name}?`} onClose={close}>
          <Leave onStay={close} />
        </Sheet>
      ) : null}
      {open === "delete" ? (
        <Sheet title="Delete the club" onClose={close}>
          <DeleteClub />
        </Sheet>
      ) : null}
    </Screen>
  );
}

function Rename({ onDone }: { onDone: () => void }) {
  const club = useMembership();
  const rename = useRenameClub();
  return (
    <NameForm
      label={words.name}
      first={club.name}
      schema={clubInputSchema.shape.name}
      action="Rename it"
      send={(name) => rename.mutate(name, { onSuccess: onDone })}
      pending={rename.isPending}
      failure={rename.error?.message ?? null}
    />
  );
}

function Leave({ onStay }: { onStay: () => void }) {
  const leave = useLeaveClub();
  return (
    <View className="gap-3">
      <Text className="font-text text-body text-ink">
        You will no longer see anything of it. What you made stays in the club; an owner can invite you again.
      </Text>
      {leave.error ? <Notice warn text={leave.error.message} /> : null}
      <Button label="Leave now" disabled={leave.isPending} onPress={() => leave.mutate()} />
      <Button label="Stay" look="full" onPress={onStay} />
    </View>
  );
}
