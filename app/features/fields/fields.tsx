import { type DoseEnd, formatLength, moveEnd, type PlainDose, type Range } from "@tonodrome/core";
import { Stepper } from "~/ui/fields/Stepper";

/** What an editor of a part of a dose is given. */
export interface EditProps<D = PlainDose> {
  dose: D;
  onChange: (dose: D) => void;
}

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

export interface AmountProps {
  label: string;
  value: number;
  least: number;
  most: number;
  step?: number;
  /** The value in words; the number alone without it. */
  show?: (value: number) => string;
  onChange: (value: number) => void;
}

/** One number in whole steps. */
export function Amount({ label, value, least, most, step = 1, show = String, onChange }: AmountProps) {
  return (
    <Stepper
      label={label}
      value={show(value)}
      onLess={() => onChange(clamp(value - step, least, most))}
      onMore={() => onChange(clamp(value + step, least, most))}
      atLeast={value <= least}
      atMost={value >= most}
    />
  );
}

/** Per cents, in steps of five unless said otherwise. */
export function Percent({ step = 5, ...props }: Omit<AmountProps, "show">) {
  return <Amount {...props} step={step} show={(n) => `${n} %`} />;
}

/** Seconds in whole steps. */
export function Seconds(props: Omit<AmountProps, "show">) {
  return <Amount {...props} show={(n) => (n < 60 ? `${n} s` : formatLength(n))} />;
}

const ENDS: { end: DoseEnd; label: string }[] = [
  { end: "floor", label: "Floor" },
  { end: "ideal", label: "Ideal" },
  { end: "ceiling", label: "Ceiling" },
];

interface RangeFieldProps {
  noun: string;
  range: Range;
  limits: { step: number; least: number; most: number };
  show?: (n: number) => string;
  onChange: (range: Range) => void;
}

/** Floor, ideal and ceiling of one count. */
export function RangeField({ noun, range, limits, show = String, onChange }: RangeFieldProps) {
  return (
    <>
      {ENDS.map(({ end, label }) => (
        <Stepper
          key={end}
          label={`${label} ${noun}`}
          value={show(range[end])}
          onLess={() => onChange(moveEnd(range, end, -1, limits))}
          onMore={() => onChange(moveEnd(range, end, 1, limits))}
          atLeast={range[end] <= limits.least}
          atMost={range[end] >= limits.most}
        />
      ))}
    </>
  );
}

/** A count of which nothing may give: floor, ideal and ceiling are one. */
export function Exactly({
  range,
  onChange,
  ...props
}: Pick<AmountProps, "label" | "most"> & Pick<RangeFieldProps, "range" | "onChange">) {
  return (
    <Amount
      {...props}
      value={range.ideal}
      least={1}
      onChange={(n) => onChange({ floor: n, ideal: n, ceiling: n })}
    />
  );
}

interface BoutsProps {
  /** "Sets", "Rounds". */
  noun: string;
  range: Range;
  most: number;
  onChange: (range: Range) => void;
}

/** Sets or rounds, for which two numbers are enough: what is wanted, and the fewest. */
export function Bouts({ noun, range, most, onChange }: BoutsProps) {
  const limits = { step: 1, least: 1, most };
  const move = (end: DoseEnd, steps: number) => {
    const moved = moveEnd(range, end, steps, limits);
    onChange({ ...moved, ceiling: moved.ideal });
  };
  return (
    <>
      <Stepper
        label={noun}
        value={String(range.ideal)}
        onLess={() => move("ideal", -1)}
        onMore={() => move("ideal", 1)}
        atLeast={range.ideal <= 1}
        atMost={range.ideal >= most}
      />
      <Stepper
        label={`Fewest ${noun.toLowerCase()}`}
        value={String(range.floor)}
        onLess={() => move("floor", -1)}
        onMore={() => move("floor", 1)}
        atLeast={range.floor <= 1}
        atMost={range.floor >= range.ideal}
      />
    </>
  );
}
