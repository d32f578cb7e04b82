import { formatLength, type PlainDose } from "@tonodrome/core";
import { Stepper } from "~/ui/fields/Stepper";
import type { RangeProps } from "./Ranges";

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

/** One number in whole steps; typed, to the next whole one, or to the step where that is smaller. */
export function Amount({ label, value, least, most, step = 1, show = String, onChange }: AmountProps) {
  const grain = Math.min(1, step);
  return (
    <Stepper
      label={label}
      value={show(value)}
      onLess={() => onChange(clamp(value - step, least, most))}
      onMore={() => onChange(clamp(value + step, least, most))}
      atLeast={value <= least}
      atMost={value >= most}
      onType={(n) => onChange(clamp(Math.round(n / grain) * grain, least, most))}
    />
  );
}

/** Per cents, in steps of five unless said otherwise. */
export function Percent({ step = 5, ...props }: Omit<AmountProps, "show">) {
  return <Amount {...props} step={step} show={(n) => `${n} %`} />;
}

/** An effort, per cent of the most there is. */
export function Intensity({ value, onChange }: Pick<AmountProps, "value" | "onChange">) {
  return <Percent label="Intensity" value={value} least={0} most={100} onChange={onChange} />;
}

/** Seconds in whole steps. */
export function Seconds(props: Omit<AmountProps, "show">) {
  return <Amount {...props} show={(n) => (n < 60 ? `${n} s` : formatLength(n))} />;
}

/** A count of which nothing may give: floor, ideal and ceiling are one. */
export function Exactly({
  range,
  onChange,
  ...props
}: Pick<AmountProps, "label" | "most"> & Pick<RangeProps, "range" | "onChange">) {
  return (
    <Amount
      {...props}
      value={range.ideal}
      least={1}
      onChange={(n) => onChange({ floor: n, ideal: n, ceiling: n })}
    />
  );
}
