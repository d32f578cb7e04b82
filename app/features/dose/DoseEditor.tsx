import {
  type Dose,
  type DoseKind,
  doseSchema,
  formatLength,
  idealLevel,
  levelsOf,
  type Sides,
} from "@tonodrome/core";
import { Text, View } from "react-native";
import { Choice } from "~/ui/Choice";
import { AttemptsFields } from "./AttemptsFields";
import { CircuitFields } from "./CircuitFields";
import { CountsFields } from "./CountsFields";
import type { EditProps } from "./fields";
import { firstDose } from "./firstDose";
import { GateFields } from "./GateFields";
import { LengthsFields } from "./LengthsFields";
import { PartnerFields } from "./PartnerFields";
import { RepsFields } from "./RepsFields";
import { TimeFields } from "./TimeFields";

const KINDS: { value: DoseKind; label: string }[] = [
  { value: "time", label: "Time" },
  { value: "reps", label: "Reps" },
  { value: "lengths", label: "Lengths" },
  { value: "counts", label: "Counts" },
  { value: "attempts", label: "Attempts" },
  { value: "gate", label: "Gate" },
  { value: "circuit", label: "Circuit" },
];
const SIDES: { value: Sides; label: string }[] = [
  { value: "one", label: "Whole body" },
  { value: "both", label: "Each side" },
  { value: "dominant", label: "Better side" },
];

/** A dose in whole steps, with the time it takes always in sight. */
export function DoseEditor({ dose, onChange: changed }: EditProps) {
  // A press that would leave the sensible (more choices than sixty, say) does nothing.
  const onChange = (next: Dose) => {
    if (doseSchema.safeParse(next).success) changed(next);
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
        label="Dose"
        options={KINDS}
        value={dose.kind}
        onChange={(kind) => (kind === dose.kind ? undefined : onChange(firstDose(kind)))}
      />
      <Fields dose={dose} onChange={onChange} />
      {"sides" in dose ? (
        <Choice
          label="Sides"
          options={SIDES}
          value={dose.sides}
          onChange={(sides) => onChange({ ...dose, sides })}
        />
      ) : null}
      <PartnerFields dose={dose} onChange={onChange} />
    </View>
  );
}

function Fields({ dose, onChange }: EditProps) {
  switch (dose.kind) {
    case "time":
      return <TimeFields dose={dose} onChange={onChange} />;
    case "reps":
      return <RepsFields dose={dose} onChange={onChange} />;
    case "lengths":
      return <LengthsFields dose={dose} onChange={onChange} />;
    case "counts":
      return <CountsFields dose={dose} onChange={onChange} />;
    case "attempts":
      return <AttemptsFields dose={dose} onChange={onChange} />;
    case "gate":
      return <GateFields dose={dose} onChange={onChange} />;
    case "circuit":
      return <CircuitFields dose={dose} onChange={onChange} />;
  }
}
