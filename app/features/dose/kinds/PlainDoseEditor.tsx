import { type PlainDose, plainDoseSchema, type Sides } from "@tonodrome/core";
import type { EditProps } from "~/features/fields/fields";
import { Choice } from "~/ui/Choice";
import { AttemptsFields } from "./AttemptsFields";
import { CircuitFields } from "./CircuitFields";
import { CountsFields } from "./CountsFields";
import { firstDose } from "./firstDose";
import { GateFields } from "./GateFields";
import { LengthsFields } from "./LengthsFields";
import { PartnerFields } from "./PartnerFields";
import { RepsFields } from "./RepsFields";
import { TimeFields } from "./TimeFields";

export const PLAIN_KINDS: { value: PlainDose["kind"]; label: string }[] = [
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

/** The dose of one thing, in whole steps. */
export function PlainDoseEditor({ dose, onChange: changed }: EditProps<PlainDose>) {
  // A press that would leave the sensible (more choices than sixty, say) does nothing.
  const onChange = (next: PlainDose) => {
    if (plainDoseSchema.safeParse(next).success) changed(next);
  };
  return (
    <>
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
    </>
  );
}

/** The kinds a dose of one thing can be, beginning anew with another. */
export function PlainKindChoice({ dose, onChange }: EditProps<PlainDose>) {
  return (
    <Choice
      label="Dose"
      options={PLAIN_KINDS}
      value={dose.kind}
      onChange={(kind) => (kind === dose.kind ? undefined : onChange(firstDose(kind)))}
    />
  );
}

function Fields({ dose, onChange }: EditProps<PlainDose>) {
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
