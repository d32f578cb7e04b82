import type { RiseSegment } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { Rise } from "~/features/rise/Rise";
import { clockTime } from "~/ui/dates";
import { fonts } from "~/ui/tokens";
import type { DayAxis } from "./dayAxis";

/** Pixels of the hardest effort, and of the line of hours below it. */
const HEIGHT = 36;

interface RiseOnClockProps {
  axis: DayAxis;
  start: Start;
  segments: readonly RiseSegment[];
  /** Milliseconds since the epoch. */
  now: number;
}

/** A warm-up's rise where it lies on the day's clock: the starts of a day stand below each other, each at its time. */
export function RiseOnClock({ axis, start, segments, now }: RiseOnClockProps) {
  const spanSeconds = -(segments[0]?.fromSeconds ?? 0);
  if (spanSeconds <= 0) return null;
  const startsAt = Date.parse(start.startsAt);
  const part = (at: number) => (100 * (at - axis.from)) / (axis.to - axis.from);
  // A start that is moved earlier than the day began still shows its end.
  const left = Math.max(0, part(startsAt - spanSeconds * 1000));
  return (
    <div className="relative mt-1 overflow-hidden pb-5" style={{ fontFamily: fonts.text }}>
      <div className="relative border-0 border-b-2 border-solid border-line" style={{ height: HEIGHT }}>
        {axis.marks.map((at) => (
          <div
            key={at}
            aria-hidden
            className="absolute bottom-0 h-full w-px bg-line"
            style={{ left: `${part(at)}%` }}
          />
        ))}
        <div
          className="absolute bottom-[-2px]"
          style={{ left: `${left}%`, width: `${Math.max(0, part(startsAt) - left)}%` }}
        >
          <Rise segments={segments} spanSeconds={spanSeconds} height={HEIGHT} />
        </div>
        {now > axis.from && now < axis.to ? (
          <div
            aria-hidden
            className="absolute bottom-0 h-full w-[2px] bg-signal"
            style={{ left: `${part(now)}%` }}
          />
        ) : null}
      </div>
      {axis.marks.map((at) => (
        <span
          key={at}
          aria-hidden
          className="absolute bottom-0 text-small text-muted"
          style={{
            left: `${part(at)}%`,
            // At the ends it stays inside.
            transform: part(at) < 4 ? "none" : part(at) > 96 ? "translateX(-100%)" : "translateX(-50%)",
          }}
        >
          {clockTime(at, start.zone)}
        </span>
      ))}
    </div>
  );
}
