/** @jest-environment node */
import highsLoader, { type Highs } from "highs";
import { problemOf } from "../../src/fit/model/problemOf";
import { solveAt } from "../../src/fit/search/solve";
import { sampleOf } from "../made/cases";
import { hardDay } from "../made/hardDays";
import { realDay } from "../made/realDays";
import { checkSchedule, type Done, waitsTooLong } from "./checkSchedule";
import { lpText, mipModel } from "./mipModel";

/*
 * The fit beside an open-source mixed-integer solver, on warm-ups and days as they are met with. Ranks of worth are
 * compared one after the other, each with those before it kept at what the fit reached: were the fit's answer not the
 * best, the solver would find a better value of the first rank in which it falls short.
 */

const CASES = [
  ...Array.from({ length: 22 }, (_, i) => [12, "real", 100 + i] as const),
  ...Array.from({ length: 14 }, (_, i) => [30, "real", 200 + i] as const),
  ...Array.from({ length: 6 }, (_, i) => [60, "real", 300 + i] as const),
  // All limits on totals at once.
  ...Array.from({ length: 8 }, (_, i) => [12, "hard", 500 + i] as const),
  ...Array.from({ length: 4 }, (_, i) => [30, "hard", 600 + i] as const),
];

/** Values are whole numbers: less than one apart is the same. */
const HALF_A_POINT = 0.5;

let highs: Highs;

beforeAll(async () => {
  highs = await highsLoader();
});

it.each(sampleOf(CASES, 5))("is the best plan of %i drills, %s day %i", (drills, kind, seed) => {
  const { plan, day, availableSeconds } = (kind === "hard" ? hardDay : realDay)(drills, seed);
  const problem = problemOf(plan, day, { horizon: availableSeconds });
  const solution = solveAt(problem);
  const done = solution.stepsOf(solution.begins.length - 1).map(
    (s): Done => ({
      id: problem.drills[s.drill]?.item.id as string,
      levelIndex: s.level,
      beginSeconds: s.begin,
      spanSeconds: s.span,
    }),
  );
  expect(checkSchedule(plan, day, done, availableSeconds)).toEqual([]);

  const model = mipModel(plan, day, availableSeconds);
  const ours = model.valuesOf(
    plan.items.map((i) => done.find((d) => d.id === i.id)?.levelIndex ?? -1),
    !waitsTooLong(plan, done),
  );
  const theirs = ours.map((_, stage) => {
    const text = lpText(model, stage, ours);
    const first = highs.solve(text, { mip_rel_gap: 0 });
    // The fit's own plan keeps every row: where there is said to be none, or none as good, its presolve has lost it.
    const hasLost =
      first.Status === "Infeasible" || first.ObjectiveValue < (ours[stage] as number) - HALF_A_POINT;
    const { Status, ObjectiveValue } = hasLost
      ? highs.solve(text, { mip_rel_gap: 0, presolve: "off" })
      : first;
    expect(Status).toBe("Optimal");
    return ObjectiveValue;
  });
  theirs.forEach((value, stage) => {
    expect(Math.abs(value - (ours[stage] as number))).toBeLessThanOrEqual(1e-6 * Math.max(1, value));
  });
});
