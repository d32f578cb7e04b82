import type { Athlete, Role } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { Choice } from "~/ui/fields/Choice";
import { Notice } from "~/ui/layout/Notice";
import { ROLE_MEANS, ROLE_NAMES, ROLES } from "~/ui/roleWords";

/** A role, and whose warm-ups an athlete sees. */
export interface RoleOf {
  role: Role;
  athleteId: string | null;
}

interface RoleChoiceProps extends RoleOf {
  athletes: readonly Athlete[];
  onChange: (next: RoleOf) => void;
}

/** What somebody is in the club; with the role athlete, whose warm-ups are theirs. */
export function RoleChoice({ role, athleteId, athletes, onChange }: RoleChoiceProps) {
  return (
    <View className="gap-3">
      <Choice
        label="Role"
        options={ROLES.map((value) => ({ value, label: ROLE_NAMES[value] }))}
        value={role}
        onChange={(next) =>
          onChange({ role: next, athleteId: next === "athlete" ? (athletes[0]?.id ?? null) : null })
        }
      />
      <Text className="font-text text-body text-muted">{ROLE_MEANS[role]}.</Text>
      {role !== "athlete" ? null : athletes.length === 0 ? (
        <Notice text="There are no athletes in this club yet. A new start makes the first." />
      ) : (
        <Choice
          label="Which athlete"
          options={athletes.map((a) => ({ value: a.id, label: a.name }))}
          value={athleteId}
          onChange={(id) => onChange({ role, athleteId: id })}
        />
      )}
    </View>
  );
}

/** Whether a choice is whole. */
export const isChosen = ({ role, athleteId }: RoleOf) => role !== "athlete" || athleteId !== null;
