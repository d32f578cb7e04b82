import { formatMinus } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { memo } from "react";
import { useNow } from "~/data/client/useNow";
import { clockTime, dayName, foreignZone } from "~/ui/dates";
import { words } from "~/ui/words";

interface StartBandProps {
  start: Pick<Start, "startsAt" | "zone">;
  /** When the first drill begins, whole seconds from the start; 0 when there is none. */
  beginSeconds: number;
}

const HOURS = 12 * 3600;

/**
 * The start across the foot: the line that everything above is counted back from. It counts the seconds by itself, so that
 * nothing else is drawn with them.
 */
export const StartBand = memo(function StartBand({ start, beginSeconds }: StartBandProps) {
  const now = useNow();
  const startsAt = Date.parse(start.startsAt);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const zone = foreignZone(start.zone);
  const day = dayName(start.startsAt, start.zone, now);
  return (
    <div className="flex items-center gap-3 bg-signal px-4 py-2 text-on-signal">
      <div className="min-w-0 flex-1">
        <div className="font-strong text-body">{beginWords(start, startsAt + beginSeconds * 1000, now)}</div>
        <div className="truncate font-text text-small">
          {[
            day === "Today" ? words.start : `Start ${day}`,
            Math.abs(untilStart) < HOURS ? formatMinus(-untilStart) : null,
            zone ? `${zone} time` : null,
          ]
            .filter(Boolean)
            .join(", ")}
        </div>
      </div>
      <div className="font-figures text-figure tabular-nums">{clockTime(start.startsAt, start.zone)}</div>
    </div>
  );
});

/**
 * When to begin, in words.
 * @param beginsAt when the first drill begins, milliseconds since the epoch; the start itself when there is none
 */
function beginWords(start: Pick<Start, "startsAt" | "zone">, beginsAt: number, now: number): string {
  if (Date.parse(start.startsAt) <= now) return "Started";
  if (beginsAt === Date.parse(start.startsAt)) return "Nothing to begin yet";
  return beginsAt > now ? `Begin at ${clockTime(beginsAt, start.zone)}` : "Begin now";
}
