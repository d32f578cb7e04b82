import fc from "fast-check";
import { explanationOf } from "../../src/fit/explain/explanation";
import { fitAt, fitPlan } from "../../src/fit/fit";
import { problemOf } from "../../src/fit/model/problemOf";
import { needsOf } from "../../src/fit/needs";
import { profileAt, profileOf, profileTable, quickProfileAt, withTable } from "../../src/fit/profile";
import { solveWithin } from "../../src/fit/search/solve";
import { openDay } from "../../src/venue/context";
import { anyDay, anyLimitedDay, GRID, SMALL_DAY } from "../made/anyDay";
import { cases } from "../made/cases";
import { realDay } from "../made/realDays";

/** Each is fitted for every time there is: few, and others are drawn each time. */
const RUNS = 80;

/** More than any of these cases needs, seconds. */
const LONG = 1200;

const anyCase = fc.oneof(anyDay(3), anyLimitedDay(4));

it("the last moments are the last at which the essentials, and everything, fit", () => {
  fc.assert(
    fc.property(anyCase, ({ plan: any, day }) => {
      // A wait that may be as long as it likes, so that the fit never gives up an extra for a shorter one.
      const plan = { ...any, wait: { ...any.wait, longestSeconds: LONG } };
      const profile = profileOf(plan, day);
      const first = (is: (seconds: number) => boolean) => {
        for (let seconds = 0; seconds <= LONG; seconds += GRID) if (is(seconds)) return seconds;
        return Infinity;
      };
      const essentials = first((s) => fitAt(profile, s).state !== "short");
      const full = first((s) =>
        fitAt(profile, s).placements.every((p) => p.verdict === "kept" || p.verdict === "lengthened"),
      );
      expect(needsOf(problemOf(plan, day))).toEqual({ essentials, full });
    }),
    cases(RUNS),
  );
});

it("the quick plan is the best one when it says so", () => {
  fc.assert(
    fc.property(anyCase, fc.integer({ min: 0, max: SMALL_DAY }), ({ plan, day }, seconds) => {
      const { profile, isBest } = quickProfileAt(plan, day, seconds);
      const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
      const best = fitPlan(plan, seconds, day);
      if (isBest) expect(fitAt(profile, seconds)).toEqual(best);
      // Otherwise it passes a limit, so it cannot be the best one.
      else expect(same(fitAt(profile, seconds).placements, best.placements)).toBe(false);
    }),
    cases(RUNS),
  );
});

it("every time at once is given up when it would take too long, and one time is still found", () => {
  const { plan, day, availableSeconds } = realDay(60, 407);
  expect(solveWithin(problemOf(plan, day, { horizon: availableSeconds }), 1000)).toBeNull();
  const profile = profileAt(plan, day, availableSeconds);
  expect(fitAt(profile, availableSeconds).workSeconds).toBeGreaterThan(0);
});

it("a table that was handed over says the same as one that was computed here", () => {
  const { plan, day } = realDay(12, 404);
  const table = profileTable(plan, day, 3600);
  const handed = table && withTable(plan, day, 3600, structuredClone(table));
  for (const seconds of [0, 600, 1234, 3600])
    expect(handed && fitAt(handed, seconds)).toEqual(fitPlan(plan, seconds, day));
});

it("an explanation says what five minutes either way would change", () => {
  const { plan, day } = realDay(12, 404);
  const { fiveMore, fiveFewer, given, needs, culprit } = explanationOf(plan, day, 1200);
  expect([fiveMore.length > 0, fiveFewer.length > 0, given.length > 0]).toEqual([true, true, true]);
  expect(needs.essentials).toBeLessThan(needs.full);
  expect(culprit).toBeNull();
  const all = explanationOf({ ...plan, items: [] }, openDay(), 1200);
  expect(all).toMatchObject({ given: [], fiveMore: [], fiveFewer: [], culprit: null });
});
