import fc from "fast-check";
import { fitAt, fitPlan } from "../../src/fit/fit";
import { profileOf, profileTable, withTable } from "../../src/fit/profile";
import type { PlanBody } from "../../src/plan/plan";
import type { FitContext } from "../../src/venue/context";
import { anyDay, anyLimitedDay } from "../made/anyDay";
import { cases } from "../made/cases";
import { drill, planOf } from "../made/generate";

/** More than any of these cases needs, seconds. */
const LONG = 2400;

const anyCase = fc
  .record({
    of: fc.oneof(anyDay(3), anyLimitedDay(3)),
    least: fc.integer({ min: 0, max: 30 }).map((n) => n * 10),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    seconds: fc.integer({ min: 0, max: 500 }),
  })
  .map(({ of: { plan, day }, least, share, seconds }) => ({
    plan: {
      ...plan,
      wait: {
        ...plan.wait,
        leastSeconds: least,
        longestSeconds: 600,
        shortestSeconds: Math.floor(least * share),
      },
    } satisfies PlanBody,
    day,
    seconds,
  }));

/** By trying: minute by minute shorter until every essential drill is in. */
function waitByTrying(plan: PlanBody, day: FitContext, seconds: number): number {
  const { leastSeconds, shortestSeconds } = plan.wait as Required<PlanBody["wait"]>;
  const waits = [];
  for (let wait = leastSeconds; wait > shortestSeconds; wait -= 60) waits.push(wait);
  waits.push(shortestSeconds);
  const isShort = (wait: number, available: number) =>
    fitPlan(held(plan, wait), available, day).state === "short";
  if (waits.every((wait) => isShort(wait, LONG))) return leastSeconds;
  return waits.find((wait) => !isShort(wait, seconds)) ?? shortestSeconds;
}

function held({ wait: { shortestSeconds: _, ...wait }, ...plan }: PlanBody, leastSeconds: number): PlanBody {
  return { ...plan, wait: { ...wait, leastSeconds } };
}

it("the wait gives way by whole minutes and no more than the essentials need", () => {
  fc.assert(
    fc.property(anyCase, ({ plan, day, seconds }) => {
      const wait = waitByTrying(plan, day, seconds);
      const { missingSeconds: _, culprit: __, ...wanted } = fitPlan(held(plan, wait), seconds, day);
      expect(fitPlan(plan, seconds, day)).toMatchObject(wanted);
      const profile = profileOf(plan, day);
      expect(fitAt(profile, seconds)).toMatchObject(wanted);
      const table = profileTable(plan, day, LONG);
      if (table) expect(fitAt(withTable(plan, day, LONG, table), seconds)).toEqual(fitAt(profile, seconds));
    }),
    cases(25, 4),
  );
});

it("a plan slid to a few minutes keeps its movement and waits a minute", () => {
  const time = (floor: number, ideal: number) =>
    ({
      kind: "time",
      seconds: { floor, ideal, ceiling: ideal },
      step: 10,
      sides: "one",
      changeoverSeconds: 0,
    }) as const;
  const plan = planOf(
    [
      drill("jog", { phase: "raise", priority: "essential", dose: time(60, 240) }),
      drill("swings", { phase: "mobilise", priority: "essential", dose: time(40, 120) }),
    ],
    { wait: { leastSeconds: 300, longestSeconds: 900, shortestSeconds: 60 } },
  );
  const spans = (seconds: number) => fitPlan(plan, seconds).placements.map((p) => p.spanSeconds);
  expect(fitPlan(plan, 400)).toMatchObject({ state: "tight", waitSeconds: 300 });
  expect(fitPlan(plan, 399)).toMatchObject({ state: "tight", waitSeconds: 240, missingSeconds: 0 });
  expect(spans(399)).toEqual([80, 70]);
  expect(fitPlan(plan, 160)).toMatchObject({ state: "tight", waitSeconds: 60 });
  expect(fitPlan(plan, 159)).toMatchObject({ state: "short", waitSeconds: 60, missingSeconds: 1 });
  expect(spans(159).filter((s) => s > 0)).toHaveLength(1);
  expect(fitPlan(plan, 130).placements[0]?.level).not.toBeNull();
});
