// How long a day takes to be counted back: a hundred steps, as it holds and as it does not. `npm run bench`.
import { dayPlan } from "../src/day/day";
import { dayStepSchema } from "../src/day/step";
import { median } from "./median";

const row = (name: string, took: number) => console.log(`  ${name.padEnd(40)}${took.toFixed(3).padStart(8)}`);

/** A long day: every fourth step has a rule to one further on, every tenth to the clock. */
const steps = Array.from({ length: 100 }, (_, i) =>
  dayStepSchema.parse({
    id: `step-${i}`,
    name: `Step ${i}`,
    kind: i === 90 ? "start" : i === 89 ? "warm-up" : "other",
    minutes: { usual: 5, bad: 6 },
    rules: [
      ...(i % 4 === 0 && i < 80
        ? [{ kind: "before", edge: "end", leastMinutes: 20, ofEdge: "begin", of: `step-${i + 5}` }]
        : []),
      ...(i % 10 === 0 && i < 90 ? [{ kind: "clock", edge: "begin", day: -1, notBefore: "06:00" }] : []),
    ],
  }),
);
const day = {
  ...{ startsAt: "2026-12-05T20:00:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 1800, steps },
};
const tooLate = steps.map((step, i) =>
  i === 0
    ? { ...step, rules: [{ kind: "clock", edge: "begin", day: 0, notBefore: "19:00" } as const] }
    : step,
);

console.log("\na day of 100 steps counted back from its start, median, ms (aim: below 1)");
row(
  "everything holds",
  median(41, () => dayPlan(day, "usual")),
);
row(
  "something cannot hold: the smallest named",
  median(41, () => dayPlan({ ...day, steps: tooLate }, "usual")),
);
