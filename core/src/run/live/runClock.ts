import { elapsedSeconds, type RunState, type Split } from "../log/runState";

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
  const current = state.splits[state.index];
  const elapsed = elapsedSeconds(state, now);
  const remaining = current ? remainingOf(current, elapsed, now) : 0;
  const untilStart = (state.startsAt - now) / 1000;
  const length = elapsed + Math.max(0, remaining);
  return {
    elapsed,
    remaining,
    filled: current && length > 0 ? Math.min(1, elapsed / length) : 0,
    untilStart,
    ahead: isOpen(state) ? (state.startsAt - endOf(state, now, remaining)) / 1000 - state.waitSeconds : 0,
  };
}

const isOpen = ({ status }: RunState) => status === "ready" || status === "under-way";

/**
 * What is left of the step under way, seconds: negative when it runs over. A wait for a time ends by the clock, also while
 * the run is on hold, but it is never shorter than its least.
 */
function remainingOf(
  { drill: { wait }, plannedSeconds, extendedSeconds }: Split,
  elapsed: number,
  now: number,
): number {
  if (!wait?.until) return plannedSeconds + extendedSeconds - elapsed;
  return Math.max(wait.leastSeconds - elapsed, (Date.parse(wait.until) - now) / 1000) + extendedSeconds;
}

/** When the last step would be over, milliseconds since the epoch. */
function endOf({ splits, index, status }: RunState, now: number, remaining: number): number {
  let at = now;
  splits.forEach(({ drill, outcome, plannedSeconds }, i) => {
    if (status === "under-way" && i === index) at += Math.max(0, remaining) * 1000;
    else if (outcome === "pending" && i >= index) at = afterStep(drill.wait, at, plannedSeconds);
  });
  return at;
}

function afterStep(wait: Split["drill"]["wait"], at: number, plannedSeconds: number): number {
  if (!wait) return at + plannedSeconds * 1000;
  return Math.max(at + wait.leastSeconds * 1000, wait.until ? Date.parse(wait.until) : 0);
}
