import { type CSSProperties, useCallback } from "react";

export interface SliderProps {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** The value in words, for those who listen. */
  words: string;
  onChange: (value: number) => void;
}

/** A slider that follows the finger: the browser's own range control, so keys and assistive tools work as they do everywhere. */
export function Slider({ label, value, least, most, step, words, onChange }: SliderProps) {
  const filled = `${((value - least) / (most - least)) * 100}%`;
  const change = useCallback(
    (event: { currentTarget: { value: string } }) => onChange(Number(event.currentTarget.value)),
    [onChange],
  );
  return (
    <input
      type="range"
      className="range"
      aria-label={label}
      aria-valuetext={words}
      min={least}
      max={most}
      step={step}
      value={value}
      onChange={change}
      style={{ "--filled": filled } as CSSProperties}
    />
  );
}
