import type { RunState } from "../log/state";
import type { Refit } from "./refit";

/** The start has to move by so much before that alone is a reason, milliseconds (custom). */
const MOVED = 20_000;

/**
 * Why the rest should be fitted anew; null when it should not. Being ahead or behind counts in steps of what the coach
 * wishes, so that what was turned down comes again only when it has become worse.
 * @param ahead seconds that the run is ahead of its plan, negative behind
 * @param refitMinutes how far ahead or behind is a reason; 0 for never
 * @returns a key that stays the same for the same reason, and the reason in words
 */
export function refitReason(
  state: Pick<RunState, "status" | "startsAt" | "fittedFor">,
  ahead: number,
  refitMinutes: number,
): { key: string; words: string } | null {
  if (state.status === "ended" || state.status === "ready") return null;
  const by = state.startsAt - state.fittedFor;
  if (Math.abs(by) >= MOVED) {
    const minutes = Math.round(Math.abs(by) / 60_000);
    return {
      key: `start ${state.startsAt}`,
      words: `The start is ${minutes > 0 ? `${minutes} min` : "a little"} ${by > 0 ? "later" : "earlier"}`,
    };
  }
  if (refitMinutes === 0 || state.status !== "under-way") return null;
  const steps = Math.trunc(ahead / (refitMinutes * 60));
  if (steps === 0) return null;
  const minutes = Math.floor(Math.abs(ahead) / 60);
  return { key: `pace ${steps}`, words: `${minutes} min ${ahead > 0 ? "ahead" : "behind"}` };
}

/**
 * Nothing to change is nothing to offer, unless what is essential no longer fits. Whoever is ahead or behind sees so; only
 * other drills are worth a word more. When the start moves, so are other waits.
 */
export function isWorthOffering(
  { line, state, changesDrills }: Pick<Refit, "line" | "state" | "changesDrills">,
  key: string,
): boolean {
  return state === "short" || changesDrills || (line !== "" && key.startsWith("start"));
}
