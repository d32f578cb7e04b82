import { hardDay } from "/tmp/hard";
import { problemOf } from "../src/fit/problem";
import { solveAt } from "../src/fit/solve";
import { mipModel } from "../src/testing/mipModel";
import { waitsTooLong } from "../src/testing/checkSchedule";
const [,, drills, seeds, which] = process.argv;
for (const seed of seeds.split(",")) {
const d = hardDay(Number(drills), Number(seed), which!.split(""));
const p = problemOf(d.plan, d.day, { horizon: d.availableSeconds });
const t = performance.now();
const s = solveAt(p);
const ms = performance.now() - t;
const model = mipModel(d.plan, d.day, d.availableSeconds);
const steps = s.stepsOf(s.begins.length - 1);
  const done = steps.map((s: any) => ({ id: d.plan.items[s.drill]!.id, levelIndex: s.level, beginSeconds: s.begin, spanSeconds: s.span }));
console.log(drills, seed, which, d.availableSeconds, ms.toFixed(0), "ms", s.labels, JSON.stringify(d.plan.limits), JSON.stringify(model.valuesOf(d.plan.items.map((_, i) => steps.find((s: any) => s.drill === i)?.level ?? -1), !waitsTooLong(d.plan, done))));
}
