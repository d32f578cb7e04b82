import type { RunState } from "../log/state";
import { elapsedSeconds } from "../log/stepChange";
import { endOfSteps, remainingOf } from "./runTimeline";

/** Everything on the running screen that depends on the moment. Seconds. */
export interface RunClock {
  /** Passed of the drill under way, held time not counted. */
  elapsed: number;
  /** Left of it with its +30 s presses; negative when it runs over. */
  remaining: number;
  /** Share of it that has passed, 0 to 1. */
  filled: number;
  /** Until the start; negative after it. */
  untilStart: number;
  /** Positive when ahead of the plan, negative when behind. */
  ahead: number;
}

/**
 * Reads a run at a moment.
 *
 * Ahead is the time that would be left over if the drill under way ended on time, every later step took what was
 * planned (a wait for a time no longer than until then), and the planned wait were kept. Before it begins, it is the time
 * until it is to begin.
 * @param now milliseconds since the epoch, already corrected to the server's clock
 */
export function runClock(state: RunState, now: number): RunClock {
  const elapsed = elapsedSeconds(state, now);
  const remaining = remainingOf(state, now);
  const length = elapsed + Math.max(0, remaining);
  return {
    elapsed,
    remaining,
    filled: length > 0 ? Math.min(1, elapsed / length) : 0,
    untilStart: (state.startsAt - now) / 1000,
    ahead: aheadOf(state, now),
  };
}

/** Before it begins, how long still until it is to begin: begun earlier, a wait for a time would only be longer. */
function aheadOf(state: RunState, now: number): number {
  const { status, splits, startsAt, waitSeconds } = state;
  if (status === "under-way") return -endOfSteps(state, now) - waitSeconds;
  if (status !== "ready") return 0;
  return (startsAt - now) / 1000 - splits.reduce((sum, s) => sum + s.plannedSeconds, 0) - waitSeconds;
}
