// The fit beside an open-source mixed-integer solver on the same warm-ups and days: `npm run bench`.
import highsLoader from "highs";
import { problemOf } from "../src/fit/model/problemOf";
import { solveAt } from "../src/fit/search/solve";
import type { PlanBody } from "../src/plan/plan";
import type { FitContext } from "../src/venue/context";
import { hardDay } from "../test/made/hardDays";
import { realDay } from "../test/made/realDays";
import { lpText, mipModel } from "../test/proof/mipModel";
import { median } from "./median";
import { benchPlan, twoPlaces } from "./plans";

// Under Node the package's default export is the loader itself, or is one level down.
const load = (highsLoader as unknown as { default?: typeof highsLoader }).default ?? highsLoader;
const highs = await load();

/** It asks for the ranks one after the other: one weight for all of them is beyond its numbers. Milliseconds. */
function highsTime(plan: PlanBody, day: FitContext, availableSeconds: number): number {
  const model = mipModel(plan, day, availableSeconds);
  const began = performance.now();
  const reached: number[] = [];
  model.stages.forEach((_, stage) => {
    reached.push(Math.round(highs.solve(lpText(model, stage, reached), { mip_rel_gap: 0 }).ObjectiveValue));
  });
  return performance.now() - began;
}

function line(what: string, ours: number, theirs: number): void {
  const ratio = (theirs / ours).toFixed(0).padStart(8);
  console.log(`${what.padEnd(52)}${ours.toFixed(2).padStart(9)}${theirs.toFixed(0).padStart(11)}${ratio}`);
}

console.log(`${"fit beside HiGHS, the same answer".padEnd(52)}   fit ms   HiGHS ms   ratio`);
for (const drills of [12, 30, 60]) {
  const { plan, context } = twoPlaces(benchPlan(drills));
  const problem = problemOf(plan, context, { horizon: 5400 });
  line(
    `${drills} drills, 90 min, two places with windows`,
    median(101, () => solveAt(problem)),
    highsTime(plan, context, 5400),
  );
}
for (const [drills, days] of [
  [12, 8],
  [30, 8],
  [60, 4],
] as const) {
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let seed = 400; seed < 400 + days; seed++) {
    const { plan, day, availableSeconds } = realDay(drills, seed);
    const problem = problemOf(plan, day, { horizon: availableSeconds });
    ours.push(median(5, () => solveAt(problem)));
    theirs.push(highsTime(plan, day, availableSeconds));
  }
  const middle = (list: number[]) => [...list].sort((a, b) => a - b)[list.length >> 1] as number;
  line(`${drills} drills, every kind of rule, median of ${days} days`, middle(ours), middle(theirs));
}

// Days on which all limits on totals bind at once, each by itself: the median hides what a coach would wait for.
for (const [drills, days] of [
  [30, 12],
  [60, 4],
] as const) {
  for (let seed = 700; seed < 700 + days; seed++) {
    const { plan, day, availableSeconds } = hardDay(drills, seed);
    const problem = problemOf(plan, day, { horizon: availableSeconds });
    line(
      `${drills} drills, all limits tight, day ${seed}`,
      median(3, () => solveAt(problem)),
      highsTime(plan, day, availableSeconds),
    );
  }
}
