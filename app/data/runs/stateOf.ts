import { type RunEvent, type RunPlan, type RunState, runState } from "@tonodrome/core";
import type { HeardMove, KeptRun } from "./keptRun";

interface Replayed {
  events: readonly RunEvent[];
  heard: HeardMove | null;
  state: RunState;
}

/** The state that a run's presses led to last. */
const last = new WeakMap<RunPlan, Replayed>();

/**
 * Returns a run's state after its presses, with its start where it is now. The same presses are replayed once, however many
 * ask.
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
