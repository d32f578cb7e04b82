import { fitPlan } from "../../src/fit/fit";
import type { PlanBody } from "../../src/plan/plan";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import type { refitRun } from "../../src/run/refit/refit";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { openDay } from "../../src/venue/context";

/** When the runs of these tests start, milliseconds since the epoch. */
export const START = Date.parse("2026-06-01T12:00:00.000Z");
export const startsAt = new Date(START).toISOString();
/** So many seconds before that. */
export const before = (seconds: number) => START - seconds * 1000;

let made = 0;
/** A press so many seconds before the start. */
export function press(kind: RunEvent["kind"], secondsBefore: number, more: object = {}): RunEvent {
  const id = `00000000-0000-4000-8000-${String(++made).padStart(12, "0")}`;
  return runEventSchema.parse({ id, at: new Date(before(secondsBefore)).toISOString(), kind, ...more });
}

/** The start moves by so many seconds. */
export const moved = (secondsBefore: number, by: number) =>
  press("start-moved", secondsBefore, { startsAt: new Date(START + by * 1000).toISOString() });

/** A run of a plan as it fits so many seconds, which can be fitted anew. */
export const runOf = (plan: PlanBody, seconds: number, context = openDay()) =>
  runPlanOf(fitPlan(plan, seconds, context), startsAt, { plan, context });

/** The steps that are to come once a re-fit is applied. */
export function coming(
  run: ReturnType<typeof runOf>,
  events: RunEvent[],
  refit: ReturnType<typeof refitRun>,
) {
  if (!refit) throw new Error("there is something left");
  const { drills, waitSeconds, line } = refit;
  const state = runState(run, [...events, press("refit", -1e6, { drills, waitSeconds, line })]);
  return state.splits.filter((s) => s.outcome === "pending" && !s.drill.wait).map((s) => s.drill);
}

/** So many sets of ten. */
export const reps = (sets: number) => ({
  dose: {
    kind: "reps" as const,
    sets: { floor: 1, ideal: sets, ceiling: sets },
    reps: { floor: 10, ideal: 10, ceiling: 10 },
    secondsPerRep: 3,
    sides: "one" as const,
    restSeconds: 30,
  },
});
