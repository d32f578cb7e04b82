import { type RunEvent, type RunPlan, type RunState, runState } from "@tonodrome/core";
import type { KeptRun } from "./keptRun";

/** What a run's presses last came to. */
const last = new WeakMap<RunPlan, { events: readonly RunEvent[]; state: RunState }>();

/** A run as it stands after its presses; replayed once for the same presses, however many ask. */
export function stateOf({ run: { plan }, events }: Pick<KeptRun, "run" | "events">): RunState {
  const known = last.get(plan);
  if (known?.events === events) return known.state;
  const state = runState(plan, events);
  last.set(plan, { events, state });
  return state;
}
