import type { RunPlan } from "../steps/runPlan";
import { runDrills } from "./runDrills";
import type { RunEvent } from "./runEvent";
import { runState } from "./runState";
import type { Split } from "./state";

/** A run in one line of the log. */
export interface RunSummary {
  kind: "warm-up" | "cool-down";
  beganAt: string | null;
  endedAt: string | null;
  /** A ladder counts as one. */
  drills: number;
  /** Those of which something was done to its end. */
  done: number;
  /** Those of which nothing was, and something was passed by. */
  skipped: number;
  /** Seconds planned for all drills. */
  plannedSeconds: number;
  /** Seconds really taken by the drills that are over, held time not counted. */
  realSeconds: number;
}

/** Sums a run up from its events. */
export function runSummary(plan: RunPlan, events: readonly RunEvent[]): RunSummary {
  const state = runState(plan, events);
  const steps = state.splits.filter((s) => !s.drill.wait);
  const drills = runDrills(state.splits);
  const some = (steps: readonly Split[], outcome: string) => steps.some((s) => s.outcome === outcome);
  const done = drills.filter((d) => some(d, "done"));
  const skipped = drills.filter((d) => !some(d, "done") && some(d, "skipped"));
  const iso = (ms: number | null) => (ms === null ? null : new Date(ms).toISOString());
  return {
    kind: plan.kind ?? "warm-up",
    beganAt: iso(state.beganAt),
    endedAt: iso(state.endedAt),
    drills: drills.length,
    done: done.length,
    skipped: skipped.length,
    plannedSeconds: steps.reduce((sum, s) => sum + s.plannedSeconds, 0),
    realSeconds: Math.round(steps.reduce((sum, s) => sum + (s.realSeconds ?? 0), 0)),
  };
}
