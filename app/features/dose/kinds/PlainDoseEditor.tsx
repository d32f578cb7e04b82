import { type PlainDose, plainDoseSchema, type Sides, withKind } from "@tonodrome/core";
import type { ComponentType } from "react";
import type { EditProps } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { AttemptsFields } from "./AttemptsFields";
import { CircuitFields } from "./CircuitFields";
import { CountsFields } from "./CountsFields";
import { GateFields } from "./GateFields";
import { LengthsFields } from "./LengthsFields";
import { PartnerFields } from "./PartnerFields";
import { RepsFields } from "./RepsFields";
import { TimeFields } from "./TimeFields";

type Kind = PlainDose["kind"];

/** What each kind of dose is called, and what it asks for. */
const KINDS: {
  [K in Kind]: { label: string; Fields: ComponentType<EditProps<Extract<PlainDose, { kind: K }>>> };
} = {
  time: { label: "Time", Fields: TimeFields },
  reps: { label: "Reps", Fields: RepsFields },
  lengths: { label: "Lengths", Fields: LengthsFields },
  counts: { label: "Counts", Fields: CountsFields },
  attempts: { label: "Attempts", Fields: AttemptsFields },
  gate: { label: "Gate", Fields: GateFields },
  circuit: { label: "Circuit", Fields: CircuitFields },
};

/** The kinds as choices. */
export const PLAIN_KINDS = (Object.keys(KINDS) as Kind[]).map((value) => ({
  value,
  label: KINDS[value].label,
}));

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
  const Fields = KINDS[dose.kind].Fields as ComponentType<EditProps<PlainDose>>;
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

/** The kinds a dose of one thing can be; another keeps the length that there was. */
export function PlainKindChoice({ dose, onChange }: EditProps<PlainDose>) {
  return (
    <Choice
      label="Dose"
      options={PLAIN_KINDS}
      value={dose.kind}
      onChange={(kind) => (kind === dose.kind ? undefined : onChange(withKind(dose, kind)))}
    />
  );
}
