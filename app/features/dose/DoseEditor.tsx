import {
  type Dose,
  type DoseKind,
  doseSchema,
  firstLadder,
  formatLength,
  idealLevel,
  isRight,
  levelsOf,
  withKind,
} from "@tonodrome/core";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { LadderFields } from "~/features/dose/ladder/LadderFields";
import type { EditProps } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";
import { PLAIN_KINDS, PlainDoseEditor } from "./kinds/PlainDoseEditor";

const KINDS: { value: DoseKind; label: string; example: string }[] = [
  ...PLAIN_KINDS,
  { value: "ladder", label: "Ladder", example: "25 to 80 %" },
];

/** A dose in whole steps, with the time it takes always in sight. */
export function DoseEditor({ dose, onChange: changed }: EditProps<Dose>) {
  // A press that would leave the sensible (more choices than sixty, say) does nothing.
  const onChange = (next: Dose) => {
    if (isRight(doseSchema, next)) changed(next);
  };
  const levels = levelsOf(dose);
  const ideal = levels[idealLevel(dose)];
  const first = levels[0];
  const last = levels.at(-1);
  return (
    <View className="gap-3">
      <View className="sticky top-0 z-10 flex-row items-baseline justify-between gap-2 bg-paper py-2">
        <Text className="flex-1 font-text text-body text-ink" aria-live="polite" testID="dose-words">
          {ideal?.words}
        </Text>
        <Text
          className="font-figures text-lead text-ink"
          style={{ fontVariant: ["tabular-nums"] }}
          testID="dose-length"
        >
          {formatLength(ideal?.seconds ?? 0)}
        </Text>
      </View>
      <Text className="font-text text-small text-muted">
        From {formatLength(first?.seconds ?? 0)} when time is short to {formatLength(last?.seconds ?? 0)} at
        most.
      </Text>
      <Choice
        label={words.dose}
        options={KINDS}
        value={dose.kind}
        onChange={(kind) => {
          if (kind !== "ladder" && kind !== dose.kind) onChange(withKind(dose, kind));
          if (kind === "ladder" && dose.kind !== "ladder") onChange(firstLadder(dose, uuid));
        }}
      />
      {dose.kind === "ladder" ? (
        <LadderFields dose={dose} onChange={onChange} />
      ) : (
        <PlainDoseEditor dose={dose} onChange={onChange} />
      )}
    </View>
  );
}
