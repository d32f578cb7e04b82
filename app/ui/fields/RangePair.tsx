import type { CSSProperties } from "react";

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

/** A stretch with two ends to drag: two of the browser's own range controls on one line, which never cross. */
export function RangePair({ labels, value: [from, to], least, most, step, words, onChange }: RangePairProps) {
  const share = (v: number) => `${((v - least) / (most - least)) * 100}%`;
  const style = { "--from": share(from), "--to": share(to) } as CSSProperties;
  const ends = [
    { label: labels[0], value: from, set: (v: number) => onChange([Math.min(v, to - step), to]) },
    { label: labels[1], value: to, set: (v: number) => onChange([from, Math.max(v, from + step)]) },
  ];
  return (
    <div className="range-pair" style={style}>
      {ends.map((end) => (
        <input
          key={end.label}
          type="range"
          className="range"
          aria-label={end.label}
          aria-valuetext={words(end.value)}
          min={least}
          max={most}
          step={step}
          value={end.value}
          onChange={(event) => end.set(Number(event.currentTarget.value))}
        />
      ))}
    </div>
  );
}
