import type { CSSProperties } from "react";

/** One mark on the line. */
export interface Mark {
  label: string;
  value: number;
  onChange: (value: number) => void;
  /** Told when it is taken hold of. */
  onTake?: () => void;
}

interface MarksProps {
  /** They are the two ends of a stretch, drawn alike. */
  stretch?: boolean;
  marks: readonly Mark[];
  least: number;
  most: number;
  step: number;
  /** A value in words. */
  words: (value: number) => string;
}

/** Two or three marks on one line, each the browser's own range control: moved by finger and by keys, none past another. */
export function Marks({ marks, least, most, step, words, stretch = false }: MarksProps) {
  const share = (v: number) => `${((v - least) / Math.max(1, most - least)) * 100}%`;
  const style = {
    "--from": share(marks[0]?.value ?? least),
    "--to": share(marks.at(-1)?.value ?? most),
  } as CSSProperties;
  return (
    <div className={`range-pair ${stretch ? "" : `marks marks-${marks.length}`}`} style={style}>
      {marks.map((mark) => (
        <input
          key={mark.label}
          type="range"
          className="range"
          aria-label={mark.label}
          aria-valuetext={words(mark.value)}
          min={least}
          max={most}
          step={step}
          value={mark.value}
          onFocus={mark.onTake}
          onPointerDown={mark.onTake}
          onChange={(event) => mark.onChange(Number(event.currentTarget.value))}
        />
      ))}
    </div>
  );
}
