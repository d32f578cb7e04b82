// The fit beside an open-source mixed-integer solver on the same warm-ups and days: `npm run bench`.
import highsLoader from "highs";
import { problemOf } from "../src/fit/problem";
import { solveAt } from "../src/fit/solve";
import { lpText, mipModel } from "../src/testing/mipModel";
import { realDay } from "../src/testing/realDays";
import { median } from "./median";

// Under Node the package's default export is the loader itself, or is one level down.
const load = (highsLoader as unknown as { default?: typeof highsLoader }).default ?? highsLoader;
const highs = await load();

console.log("fit beside HiGHS, median over days     drills   days    fit ms   HiGHS ms     ratio");
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
    // It asks for the ranks one after the other: one weight for all of them is beyond its numbers.
    const model = mipModel(plan, day, availableSeconds);
    const began = performance.now();
    const reached: number[] = [];
    model.stages.forEach((_, stage) => {
      reached.push(Math.round(highs.solve(lpText(model, stage, reached), { mip_rel_gap: 0 }).ObjectiveValue));
    });
    theirs.push(performance.now() - began);
  }
  const middle = (list: number[]) => [...list].sort((a, b) => a - b)[list.length >> 1] as number;
  const [a, b] = [middle(ours), middle(theirs)];
  console.log(
    `${`${drills}`.padStart(45)}${`${days}`.padStart(7)}${a.toFixed(2).padStart(10)}${b.toFixed(0).padStart(11)}${(b / a).toFixed(0).padStart(10)}`,
  );
}
