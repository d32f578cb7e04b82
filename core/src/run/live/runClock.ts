import { elapsedSeconds, type RunState } from "../log/runState";
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
 * planned (a wait for a time no longer than until then), and the planned wait were kept.
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
    ahead: isOpen(state) ? -endOfSteps(state, now) - state.waitSeconds : 0,
  };
}

const isOpen = ({ status }: RunState) => status === "ready" || status === "under-way";
