import type { RunPlan } from "../steps/runPlan";
import type { RunEvent } from "./runEvent";
import { runState } from "./runState";

/** A run in one line of the log. */
export interface RunSummary {
  kind: "warm-up" | "cool-down";
  beganAt: string | null;
  endedAt: string | null;
  drills: number;
  done: number;
  skipped: number;
  /** Seconds planned for all drills. */
  plannedSeconds: number;
  /** Seconds really taken by the drills that are over, held time not counted. */
  realSeconds: number;
}

/** Sums a run up from its events. */
export function runSummary(plan: RunPlan, events: readonly RunEvent[]): RunSummary {
  const state = runState(plan, events);
  const drills = state.splits.filter((s) => !s.drill.wait);
  const count = (outcome: string) => drills.filter((s) => s.outcome === outcome).length;
  const iso = (ms: number | null) => (ms === null ? null : new Date(ms).toISOString());
  return {
    kind: plan.kind ?? "warm-up",
    beganAt: iso(state.beganAt),
    endedAt: iso(state.endedAt),
    drills: drills.length,
    done: count("done"),
    skipped: count("skipped"),
    plannedSeconds: drills.reduce((sum, s) => sum + s.plannedSeconds, 0),
    realSeconds: Math.round(drills.reduce((sum, s) => sum + (s.realSeconds ?? 0), 0)),
  };
}
