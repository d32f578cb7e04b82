import { usualSetting } from "../../src/conditions/setting";
import { fitPlan } from "../../src/fit/fit";
import { forecastOf } from "../../src/forecast/forecast";
import { piecesOf } from "../../src/forecast/piecesOf";
import { runForecast } from "../../src/run/judge/runForecast";
import { runPieces, runSurroundings } from "../../src/run/judge/runPieces";
import { runTopUp } from "../../src/run/judge/runTopUp";
import type { RunEvent } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { openDay } from "../../src/venue/context";
import { anyId } from "../made/ids";
import { itemOf, ladder, type Row, timed } from "../made/situations";

const START = Date.parse("2026-11-27T12:00:00.000Z");
const minutes = (n: number) => START + n * 60_000;
const rows: Row[] = [
  ["Jog", "raise", 60, timed(900)],
  ["Climb", "technical", 60, ladder([40, 10], [60, 10])],
  ["One strong jump", "prime", 92, timed(30)],
];
const plan = {
  items: rows.map(itemOf),
  wait: { leastSeconds: 240, longestSeconds: 3600 },
  stepPoints: 100,
};
const fit = fitPlan(plan, 3600);
const run = runPlanOf(fit, new Date(START).toISOString(), {
  plan,
  context: openDay(),
  conditions: { ...usualSetting(), temperature: 20 },
});
const press = (kind: string, at: number, more: object = {}) =>
  ({ id: anyId(), at: new Date(at).toISOString(), kind, ...more }) as RunEvent;
/** Begun when the fit has it, each step done as long as it was planned. */
function kept(): RunEvent[] {
  let at = START + fit.beginSeconds * 1000;
  return [
    press("begin", at),
    ...run.drills.map((d) => {
      at += d.plannedSeconds * 1000;
      return press("done", at);
    }),
  ];
}

test("a run that keeps to its plan is forecast as the plan is", () => {
  const state = runState(run, kept());
  expect(state.status).toBe("waiting");
  const real = forecastOf(runPieces(run, state, minutes(-2)), runSurroundings(run)).atStart;
  const planned = forecastOf(piecesOf(fit), runSurroundings(run)).atStart;
  for (const lane of ["warmth", "sharpness", "tiredness", "readiness"] as const)
    expect(real[lane].middle).toBeCloseTo(planned[lane].middle, 1);
});

test("the wait says until when they stay warm, which a later start does not change", () => {
  const state = runState(run, kept());
  const { warmUntil } = runForecast(run, state, minutes(-3));
  expect(warmUntil).toBeGreaterThan(minutes(3));
  expect(warmUntil).toBeLessThan(minutes(40));
  const later = runState(run, [
    ...kept(),
    press("start-moved", minutes(-3), { startsAt: new Date(minutes(20)).toISOString() }),
  ]);
  const moved = runForecast(run, later, minutes(-3));
  expect(Math.abs((moved.warmUntil ?? 0) - (warmUntil ?? 0))).toBeLessThanOrEqual(60_000);
  expect(moved.line).toMatch(/cooling|cold/);
});

test("beginning long before its time is said with what becomes of it, at its time nothing", () => {
  const ready = runState(run, []);
  const early = runForecast(run, ready, minutes(-60)).ifBegunNow;
  expect(early?.line).toMatch(/by the start$/);
  expect(early?.waitSeconds).toBeGreaterThan(2000);
  expect(runForecast(run, ready, START + fit.beginSeconds * 1000).ifBegunNow).toBeNull();
});

test("a start that slips in the wait is offered a top-up that ends before it, and nothing else does", () => {
  const slipped = (by: number) =>
    runState(run, [
      ...kept(),
      press("start-moved", minutes(-3), { startsAt: new Date(minutes(by)).toISOString() }),
    ]);
  const found = runTopUp(run, slipped(25), minutes(-2), [], anyId);
  expect(found?.line).toMatch(/back\.$/);
  const [wait, ...steps] = (found?.drills ?? []) as { wait?: { until?: string }; plannedSeconds: number }[];
  const long = steps.reduce((sum, s) => sum + s.plannedSeconds, 0);
  expect(Date.parse(wait?.wait?.until ?? "")).toBe(minutes(25) - (long + 240) * 1000);
  expect(found?.waitSeconds).toBe(240);
  expect(runTopUp(run, slipped(1), minutes(-2), [], anyId)).toBeNull();
  expect(runTopUp(run, runState(run, kept()), minutes(-2), [], anyId)).toBeNull();
  expect(runTopUp(run, runState(run, kept().slice(0, 2)), minutes(-20), [], anyId)).toBeNull();
  // Too late for it to end in time.
  expect(runTopUp(run, slipped(25), minutes(24), [], anyId)).toBeNull();
});

test("a top-up is taken up by the run as any re-fit is", () => {
  const events = [
    ...kept(),
    press("start-moved", minutes(-3), { startsAt: new Date(minutes(25)).toISOString() }),
  ];
  const found = runTopUp(run, runState(run, events), minutes(-2), [], anyId);
  const { drills = [], waitSeconds = 0, line = "" } = found ?? {};
  const state = runState(run, [...events, press("refit", minutes(-2), { drills, waitSeconds, line })]);
  expect(state.status).toBe("under-way");
  expect(state.splits[state.index]?.drill.wait).toBeDefined();
  expect(state.fittedFor).toBe(minutes(25));
});
