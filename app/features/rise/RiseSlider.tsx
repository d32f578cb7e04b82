import { formatMinus } from "@tonodrome/core";
import { type CSSProperties, memo, useCallback, useState } from "react";
import { Rise, type RiseProps } from "./Rise";

interface RiseSliderProps extends Omit<RiseProps, "spanSeconds" | "ticks"> {
  /** Minutes before the start at which the handle stands. */
  minutes: number;
  mostMinutes: number;
  /** The value in words, for those who listen. */
  words: string;
  /** The handle is taken, is at another time, is let go. */
  onTake: () => void;
  onMinutes: (minutes: number) => void;
  onLetGo: () => void;
}

/** Lines of time that are drawn, minutes: the shortest on which the handle has a fifth to go. Custom. */
const LINES = [20, 30, 45, 60, 90, 120, 180, 240, 360];
const ROOM = 1.25;

const lineFor = (minutes: number, most: number) =>
  Math.min(LINES.find((line) => line >= minutes * ROOM) ?? most, Math.max(most, minutes));

/**
 * The time available as the handle on the warm-up's own line of time: to the left is more. The browser's own range control
 * lies over the rise, so that keys and assistive tools work as they do everywhere; only its handle takes the finger.
 */
export const RiseSlider = memo(function RiseSlider({
  minutes,
  mostMinutes,
  words,
  onTake,
  onMinutes,
  onLetGo,
  ...rise
}: RiseSliderProps) {
  // The line stays as it is while the handle is held, and never becomes shorter: there is always a way back.
  const [line, setLine] = useState(() => lineFor(minutes, mostMinutes));
  const settle = useCallback(
    () => setLine((now) => Math.max(now, lineFor(minutes, mostMinutes))),
    [minutes, mostMinutes],
  );
  const least = minutes > line ? lineFor(minutes, mostMinutes) : line;
  const change = useCallback(
    (event: { currentTarget: { value: string } }) =>
      onMinutes(Math.max(1, Number(event.currentTarget.value))),
    [onMinutes],
  );
  const letGo = () => {
    settle();
    onLetGo();
  };
  return (
    <div className="rise-slider" style={{ "--rise": `${rise.height}px` } as CSSProperties}>
      <div className="rise-line">
        <Rise {...rise} spanSeconds={least * 60} ticks />
      </div>
      <input
        type="range"
        dir="rtl"
        aria-label="Time available"
        aria-valuetext={`${words}, begins at ${formatMinus(-minutes * 60)}`}
        min={0}
        max={least}
        step={1}
        value={minutes}
        onChange={change}
        onPointerDown={onTake}
        onKeyDown={onTake}
        onPointerUp={letGo}
        onPointerCancel={letGo}
        onKeyUp={letGo}
        onBlur={letGo}
      />
    </div>
  );
});
