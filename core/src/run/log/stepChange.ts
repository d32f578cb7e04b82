import { type RunDrill, stepKey } from "../steps/runPlan";
import type { RunState, Split } from "./state";

/*
 * How a run goes from one step to the next. Each function changes the state that it is given. Moments (`at`) are milliseconds
 * since the epoch.
 */

/** Makes a step that is still to come. @param from the press that brought it; null when it was planned */
export function splitOf(drill: RunDrill, from: string | null = null): Split {
  return {
    key: stepKey(drill),
    drill,
    from,
    outcome: "pending",
    plannedSeconds: drill.plannedSeconds,
    realSeconds: null,
    heldSeconds: 0,
    extendedSeconds: 0,
    tries: [],
  };
}

/** The first step from here on that is still to come; the number of steps when there is none. */
export function nextPending({ splits }: RunState, from: number): number {
  let next = from;
  while (next < splits.length && splits[next]?.outcome !== "pending") next++;
  return next;
}

/** Goes to a step, or into the wait when there is none. */
export function goTo(state: RunState, index: number, at: number): void {
  state.index = index;
  const split = state.splits[index];
  if (!split) {
    state.status = "waiting";
    state.waitingSince = at;
    state.drillBeganAt = null;
    return;
  }
  state.status = "under-way";
  state.waitingSince = null;
  // One that was over goes on where it was.
  state.drillBeganAt = at - ((split.realSeconds ?? 0) + split.heldSeconds) * 1000;
  split.outcome = "under-way";
  split.realSeconds = null;
}

/** Ends the step under way. */
export function finish(state: RunState, at: number, outcome: "done" | "skipped"): void {
  const split = state.splits[state.index];
  if (!split) return;
  release(state, at);
  split.outcome = outcome;
  split.realSeconds = elapsedSeconds(state, at);
}

/** Leaves the drill under way as if it were still to come; what it has taken is kept for when it goes on. */
export function putOff(state: RunState, at: number): void {
  const split = state.splits[state.index];
  if (state.status !== "under-way" || !split) return;
  finish(state, at, "skipped");
  split.outcome = "pending";
}

/** Takes back what became of a step, as if it were still to come. */
export function reopen(split: Split): void {
  split.outcome = "pending";
  split.realSeconds = null;
  split.heldSeconds = 0;
}

/** Ends a hold, where there is one. */
export function release(state: RunState, at: number): void {
  const split = state.splits[state.index];
  if (state.heldSince === null || !split) return;
  split.heldSeconds += (at - state.heldSince) / 1000;
  state.heldSince = null;
}

/** Seconds of the drill under way that have passed, held time not counted. */
export function elapsedSeconds(state: RunState, now: number): number {
  const split = state.splits[state.index];
  if (!split || state.drillBeganAt === null) return 0;
  const until = state.heldSince ?? now;
  return Math.max(0, (until - state.drillBeganAt) / 1000 - split.heldSeconds);
}
