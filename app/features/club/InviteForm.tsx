import type { Athlete } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useInvite } from "~/data/resources/invites";
import { Button } from "~/ui/Button";
import { deviceDay } from "~/ui/dates";
import { SecretLink } from "~/ui/fields/SecretLink";
import { Notice } from "~/ui/layout/Notice";
import { ROLE_AS } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { isChosen, RoleChoice, type RoleOf } from "./RoleChoice";

/** Makes a link by which one person joins, once. */
export function InviteForm({ athletes }: { athletes: readonly Athlete[] }) {
  const invite = useInvite();
  const [chosen, setChosen] = useState<RoleOf>({ role: "coach", athleteId: null });
  if (invite.data) {
    return (
      <View className="gap-3">
        <Notice
          text={`One person can join with this link ${ROLE_AS[invite.data.role]}, until ${deviceDay(invite.data.expiresAt)}. Send it to them yourself.`}
        />
        <SecretLink label="Invitation" path={`/join/${invite.data.token}`} />
        <Button label={words.makeAnother} onPress={() => invite.reset()} />
      </View>
    );
  }
  return (
    <View className="gap-4">
      <RoleChoice {...chosen} athletes={athletes} onChange={setChosen} />
      {invite.error ? <Notice warn text={invite.error.message} /> : null}
      <Button
        label={invite.isPending ? "Making it …" : "Make the link"}
        look="full"
        disabled={invite.isPending || !isChosen(chosen)}
        onPress={() => invite.mutate(chosen)}
      />
    </View>
  );
}
