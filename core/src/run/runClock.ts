import { elapsedSeconds, type RunState, type Split } from "./runState";

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
  const length = current ? lengthOf(current, state) : 0;
  const remaining = length - elapsed;
  const untilStart = (state.startsAt - now) / 1000;
  return {
    elapsed,
    remaining,
    filled: length > 0 ? Math.min(1, elapsed / length) : 0,
    untilStart,
    ahead: isOpen(state) ? (state.startsAt - endOf(state, now, remaining)) / 1000 - state.waitSeconds : 0,
  };
}

const isOpen = ({ status }: RunState) => status === "ready" || status === "under-way";

/** How long a step is to take, seconds: a wait for a time until then, but never less than its least. */
function lengthOf({ drill, plannedSeconds, extendedSeconds, heldSeconds }: Split, state: RunState): number {
  if (!drill.wait?.until || state.drillBeganAt === null) return plannedSeconds + extendedSeconds;
  const until = (Date.parse(drill.wait.until) - state.drillBeganAt) / 1000 - heldSeconds;
  return Math.max(drill.wait.leastSeconds, until) + extendedSeconds;
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
