import type { RunPlan } from "./runPlan";
import { elapsedSeconds, type RunState } from "./runState";

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
 * Ahead is the time that would be left over if the drill under way ended on time, every later drill took what was
 * planned, and the planned wait were kept.
 * @param now milliseconds since the epoch, already corrected to the server's clock
 */
export function runClock(plan: RunPlan, state: RunState, now: number): RunClock {
  const current = state.splits[state.index];
  const elapsed = elapsedSeconds(state, now);
  const length = (current?.plannedSeconds ?? 0) + state.extendedSeconds;
  const remaining = length - elapsed;
  const later = state.splits.slice(state.index + 1).reduce((sum, split) => sum + split.plannedSeconds, 0);
  const untilStart = (state.startsAt - now) / 1000;
  const needed = (current ? Math.max(0, remaining) : 0) + later + plan.waitSeconds;
  return {
    elapsed,
    remaining,
    filled: length > 0 ? Math.min(1, elapsed / length) : 0,
    untilStart,
    ahead: state.status === "waiting" ? 0 : untilStart - needed,
  };
}
