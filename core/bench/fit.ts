// How long the fit takes, beside an unpruned table of the same sums in the same run: `npm run bench`.
import { buildFitTable, fitAt, fitPlan, levelsOf, type PlanBody } from "../src/index";
import { median } from "./median";
import { benchPlan } from "./plans";

/** The plainest table: drill by drill, second by second, level by level, no step rule, nothing left out early. */
function plainTable(plan: PlanBody, seconds: number): number {
  let best = new Float64Array(seconds + 1);
  for (const item of plan.items) {
    const next = best.slice();
    levelsOf(item.dose).forEach((level, k) => {
      for (let d = level.seconds; d <= seconds; d++) {
        next[d] = Math.max(next[d] as number, (best[d - level.seconds] as number) + k + 1);
      }
    });
    best = next;
  }
  return best[seconds] as number;
}

console.log("fit, median of 41            drills   time     fit ms   read ms   plain ms   fit/plain");
for (const [drills, minutes] of [
  [12, 45],
  [30, 60],
  [30, 90],
  [60, 90],
  [90, 90],
] as const) {
  const plan = benchPlan(drills);
  const fit = median(41, () => fitPlan(plan, minutes * 60));
  const plain = median(41, () => plainTable(plan, minutes * 60));
  const table = buildFitTable(plan, minutes * 60);
  const read = median(41, () => fitAt(table, minutes * 45));
  const cells = [`${drills}`.padStart(34), `${minutes} min`.padStart(8)];
  const figures = [fit.toFixed(2).padStart(9), read.toFixed(3).padStart(9), plain.toFixed(2).padStart(10)];
  console.log(`${cells.join("")}${figures.join(" ")}${(fit / plain).toFixed(2).padStart(11)}`);
}
