import { LONGEST_AVAILABLE_SECONDS } from "../../conditions/timeAvailable";
import type { Start, StartInput } from "./starts";

/**
 * What changes when a start moves: the athlete is still ready when they were, but never after the start, nor more than the
 * most allowed before it.
 * @param startsAt milliseconds since the epoch
 */
export function movedStart(
  start: Pick<Start, "readyAt">,
  startsAt: number,
): Pick<StartInput, "startsAt" | "readyAt"> {
  const readyAt = Math.min(
    startsAt,
    Math.max(Date.parse(start.readyAt), startsAt - LONGEST_AVAILABLE_SECONDS * 1000),
  );
  return { startsAt: new Date(startsAt).toISOString(), readyAt: new Date(readyAt).toISOString() };
}
