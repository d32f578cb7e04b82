import { HOUR_MS } from "../../time/units";
import type { RunEvent } from "./runEvent";

/** A run that nobody ended is over all the same when nothing has been heard of it for so long, hours. Custom. */
export const RUN_FORGOTTEN_HOURS = 12;

/**
 * From when on a run is over: it was ended, or nobody has pressed anything for half a day after its start and its last press.
 * @param startsAt the start as the run has it, ISO 8601
 * @returns milliseconds since the epoch; minus infinity where it was ended
 */
export function runOverFrom(startsAt: string, events: readonly Pick<RunEvent, "kind" | "at">[]): number {
  if (events.some((e) => e.kind === "end")) return Number.NEGATIVE_INFINITY;
  return (
    events.reduce((latest, e) => Math.max(latest, Date.parse(e.at)), Date.parse(startsAt)) +
    RUN_FORGOTTEN_HOURS * HOUR_MS
  );
}

/** Whether a run is over (`runOverFrom`). @param now milliseconds since the epoch */
export const isRunOver = (
  startsAt: string,
  events: readonly Pick<RunEvent, "kind" | "at">[],
  now: number,
): boolean => now >= runOverFrom(startsAt, events);
