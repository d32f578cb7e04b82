import { Marks } from "./Marks";

interface RangePairProps {
  /** What begins and ends: "Ice opens", "Ice closes". */
  labels: readonly [string, string];
  value: readonly [number, number];
  least: number;
  most: number;
  step: number;
  /** A value in words. */
  words: (value: number) => string;
  onChange: (value: [number, number]) => void;
}

/** A stretch with two ends to drag, which never cross. */
export function RangePair({ labels, value: [from, to], step, onChange, ...line }: RangePairProps) {
  return (
    <Marks
      {...line}
      stretch
      step={step}
      marks={[
        { label: labels[0], value: from, onChange: (v) => onChange([Math.min(v, to - step), to]) },
        { label: labels[1], value: to, onChange: (v) => onChange([from, Math.max(v, from + step)]) },
      ]}
    />
  );
}
