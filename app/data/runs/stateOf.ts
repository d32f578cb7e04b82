import { type RunEvent, type RunPlan, type RunState, runState } from "@tonodrome/core";
import type { HeardMove, KeptRun } from "./keptRun";

interface Replayed {
  events: readonly RunEvent[];
  heard: HeardMove | null;
  state: RunState;
}

/** What a run's presses last came to. */
const last = new WeakMap<RunPlan, Replayed>();

/**
 * A run as it stands after its presses, and with its start where that is by now; replayed once for the same presses, however
 * many ask.
 */
export function stateOf({
  run: { plan },
  events,
  heard = null,
}: Pick<KeptRun, "run" | "events" | "heard">): RunState {
  const known = last.get(plan);
  if (known?.events === events && known.heard === heard) return known.state;
  const state = runState(plan, heard ? [...events, heard] : events);
  last.set(plan, { events, heard, state });
  return state;
}
