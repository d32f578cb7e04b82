import type { Athlete, Member } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useRemoveMember, useSaveMember } from "~/data/resources/members";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { isChosen, RoleChoice, type RoleOf } from "./RoleChoice";

interface MemberFormProps {
  member: Member;
  athletes: readonly Athlete[];
  onDone: () => void;
}

/** Changes what somebody is in the club, or takes them out of it. */
export function MemberForm({ member, athletes, onDone }: MemberFormProps) {
  const save = useSaveMember();
  const remove = useRemoveMember();
  const [chosen, setChosen] = useState<RoleOf>({ role: member.role, athleteId: member.athleteId });
  const [asking, setAsking] = useState(false);
  const failure = save.error ?? remove.error;
  const pending = save.isPending || remove.isPending;
  return (
    <View className="gap-4">
      <RoleChoice {...chosen} athletes={athletes} onChange={setChosen} />
      {failure ? <Notice warn text={failure.message} /> : null}
      <Button
        label={save.isPending ? "Saving …" : "Save"}
        look="full"
        disabled={pending || !isChosen(chosen)}
        onPress={() => save.mutate({ member, write: { ...chosen, was: member.role } }, { onSuccess: onDone })}
      />
      {asking ? (
        <Notice
          warn
          text={`${member.name} will no longer see anything of this club, from the next moment on. What they made stays.`}
          actions={[
            { label: "Remove them", onPress: () => remove.mutate(member, { onSuccess: onDone }) },
            { label: "Keep them", onPress: () => setAsking(false) },
          ]}
        />
      ) : (
        <Button label="Remove from the club" icon="remove" onPress={() => setAsking(true)} />
      )}
    </View>
  );
}
