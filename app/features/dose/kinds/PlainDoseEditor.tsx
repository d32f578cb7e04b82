import { isRight, type PlainDose, plainDoseSchema, type Sides, withKind } from "@tonodrome/core";
import type { ComponentType } from "react";
import type { EditProps } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";
import { AttemptsFields } from "./AttemptsFields";
import { CircuitFields } from "./CircuitFields";
import { CountsFields } from "./CountsFields";
import { GateFields } from "./GateFields";
import { LengthsFields } from "./LengthsFields";
import { PartnerFields } from "./PartnerFields";
import { RepsFields } from "./RepsFields";
import { TimeFields } from "./TimeFields";

type Kind = PlainDose["kind"];

/** What each kind of dose is called, what it looks like in use, and what it asks for. */
const KINDS: {
  [K in Kind]: {
    label: string;
    example: string;
    Fields: ComponentType<EditProps<Extract<PlainDose, { kind: K }>>>;
  };
} = {
  time: { label: "Time", example: "2:00", Fields: TimeFields },
  reps: { label: "Reps", example: "3 × 5 a side", Fields: RepsFields },
  lengths: { label: "Lengths", example: "4 × 25 m", Fields: LengthsFields },
  counts: { label: "Counts", example: "2 × 8 counts", Fields: CountsFields },
  attempts: { label: "Attempts", example: "5 tries", Fields: AttemptsFields },
  gate: { label: "Gate", example: "5 hits in a row", Fields: GateFields },
  circuit: { label: words.circuit, example: "3 rounds of 4", Fields: CircuitFields },
};

/** The kinds as choices, each as it looks in use. */
export const PLAIN_KINDS = (Object.keys(KINDS) as Kind[]).map((value) => ({
  value,
  label: KINDS[value].label,
  example: KINDS[value].example,
}));

const SIDES: { value: Sides; label: string }[] = [
  { value: "one", label: "Whole body" },
  { value: "both", label: "Each side" },
  { value: "dominant", label: words.betterSide },
];

/** The dose of one thing, in whole steps. */
export function PlainDoseEditor({ dose, onChange: changed }: EditProps<PlainDose>) {
  // A press that would leave the sensible (more choices than sixty, say) does nothing.
  const onChange = (next: PlainDose) => {
    if (isRight(plainDoseSchema, next)) changed(next);
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
      label={words.dose}
      options={PLAIN_KINDS}
      value={dose.kind}
      onChange={(kind) => (kind === dose.kind ? undefined : onChange(withKind(dose, kind)))}
    />
  );
}
