// How long fits take: `npm run bench`.

import { bindingsOf } from "../src/fit/explain/bindings";
import { fitAt } from "../src/fit/fit";
import { problemOf } from "../src/fit/model/problemOf";
import { profileOf } from "../src/fit/profile";
import { solve, solveAt } from "../src/fit/search/solve";
import { levelsOf, type PlanBody } from "../src/index";
import { openDay } from "../src/venue/context";
import { median } from "./median";
import { benchPlan, twoPlaces } from "./plans";

/** The plainest table: drill by drill, second by second, level by level, no rule at all, nothing left out early. */
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

const HOUR = 3600;
const cell = (text: string | number, width: number) =>
  (typeof text === "number" ? text.toFixed(2) : text).padStart(width);

console.log(
  "fit, median of 41, ms      drills     time  places   one time  every time    labels   read   plain",
);
for (const [drills, hours] of [
  [12, 0.75],
  [30, 1],
  [30, 1.5],
  [60, 1.5],
  [60, 12],
  [90, 1.5],
  [90, 24],
] as const) {
  for (const places of [false, true]) {
    const plan = places ? twoPlaces(benchPlan(drills)).plan : benchPlan(drills);
    const context = places ? twoPlaces(benchPlan(drills)).context : openDay();
    const seconds = hours * HOUR;
    const problem = problemOf(plan, context, { horizon: seconds });
    const one = median(41, () => solveAt(problem));
    const every = median(41, () => solve(problem));
    const profile = profileOf(plan, context, seconds);
    const read = median(21, () => fitAt(profile, seconds / 2));
    const plain = median(5, () => plainTable(plan, Math.min(seconds, 6 * HOUR)));
    console.log(
      [
        cell(String(drills), 33),
        cell(`${hours} h`, 9),
        cell(places ? "two" : "-", 8),
        cell(one, 11),
        cell(every, 12),
        cell(String(solve(problem).labels), 10),
        cell(read, 7),
        cell(plain, 8),
      ].join(""),
    );
  }
}

{
  const { plan, context } = twoPlaces(benchPlan(30));
  const whole = median(21, () => profileOf(plan, context, 1.5 * HOUR));
  const profile = profileOf(plan, context, 1.5 * HOUR);
  const reasons = median(11, () => bindingsOf(profile, fitAt(profile, 0.5 * HOUR)));
  const before = process.memoryUsage().arrayBuffers;
  const kept = profileOf(benchPlan(60), openDay(), 12 * HOUR);
  const grew = (process.memoryUsage().arrayBuffers - before) / 1e6;
  console.log(
    `30 drills, 90 min, two places: the whole profile ${whole.toFixed(1)} ms (aim 50), every reason ${reasons.toFixed(1)} ms`,
  );
  console.log(`60 drills, 12 h: ${grew.toFixed(1)} MB of arrays for ${kept.begins.length} plans (aim 50)`);
}
