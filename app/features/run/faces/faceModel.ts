import type { GroupStand, OrderNews, RunClock, RunForecast, RunPlan, RunState } from "@tonodrome/core";
import type { KeptRun } from "~/data/runs/keptRun";
import type { RunSettings } from "~/features/run/device/runSettings";
import type { Pulse } from "~/features/run/follow/usePulse";
import type { RefitOffer } from "~/features/run/refit/useRefit";

/** Everything that a face of the running screen shows. */
export interface FaceModel {
  run: KeptRun["run"];
  plan: RunPlan;
  state: RunState;
  clock: RunClock;
  /** Milliseconds since the epoch. */
  now: number;
  /** What is wrong, if anything, in a line. */
  trouble: string | null;
  offer: RefitOffer | null;
  /** A re-fit that was applied at once and can be taken back. */
  applied: string | null;
  settings: RunSettings;
  /** Whether there is anything to press: not for somebody who only follows, nor on a mirror. */
  presses: "all" | "hidden" | "none";
  /** What a strap says; null without one. */
  pulse: Pulse | null;
  /** What the running order says; null when none is followed. */
  order: OrderNews | null;
  /** What the forecast says in a wait and before it begins; null while it is not known. */
  forecast: RunForecast | null;
  /** How the group stands; null where it is one athlete alone. */
  group: GroupStand | null;
}

/** How far the ink has risen, 0 to 1. */
export function inkOf({ state, clock, plan }: Pick<FaceModel, "state" | "clock" | "plan">): number {
  if (state.status === "ready") return 0;
  if (state.status === "under-way") return clock.filled;
  if (state.status === "ended" || state.waitingSince === null) return 1;
  // The wait fills towards the start.
  const whole = (state.startsAt - state.waitingSince) / 1000;
  return whole <= 0 || plan.kind === "cool-down" ? 1 : Math.min(1, Math.max(0, 1 - clock.untilStart / whole));
}

/** Whether what is under way is paced by breath. */
export function isBreathing({ state }: Pick<FaceModel, "state">, promptKind: string | null): boolean {
  if (state.status === "waiting") return promptKind === "routine";
  return state.status === "under-way" && state.splits[state.index]?.drill.breath === true;
}
