// How long a dose takes to be turned into its levels, kind by kind, and the widest gates there may be. `npm run bench`.
import { type Dose, levelsOf } from "../src/index";
import { median } from "./median";

const range = (floor: number, ideal: number, ceiling: number) => ({ floor, ideal, ceiling });
const gate = {
  kind: "gate",
  hits: range(1, 8, 8),
  chancePercent: 5,
  secondsEach: 5,
  restSeconds: 0,
  surePercent: 99,
  capSeconds: 1000,
  sides: "one",
} as const;

const doses: [string, Dose][] = [
  [
    "time, 58 levels",
    { kind: "time", seconds: range(5, 150, 295), step: 5, sides: "both", changeoverSeconds: 5 },
  ],
  [
    "reps, 58 levels",
    {
      kind: "reps",
      sets: range(1, 10, 19),
      reps: range(1, 20, 40),
      secondsPerRep: 3,
      sides: "both",
      restSeconds: 20,
    },
  ],
  [
    "lengths, 58 levels",
    {
      kind: "lengths",
      rounds: range(1, 10, 19),
      lengths: range(1, 20, 40),
      metres: 25,
      secondsEach: 15,
      turnSeconds: 2,
      back: "same",
      walkSeconds: 0,
      restSeconds: 20,
    },
  ],
  [
    "counts",
    {
      kind: "counts",
      phrases: range(1, 30, 60),
      counts: 8,
      beatsPerMinute: 128,
      sides: "one",
      changeoverSeconds: 0,
    },
  ],
  [
    "attempts",
    {
      kind: "attempts",
      attempts: range(1, 20, 50),
      secondsEach: 12,
      sides: "one",
      rest: { kind: "multiple", times: 3 },
    },
  ],
  ["gate, 8 hits in all", { ...gate, rule: { kind: "total" } }],
  ["gate, 8 in a row", { ...gate, rule: { kind: "row" } }],
  ["gate, 8 of the last 8, never reached", { ...gate, rule: { kind: "of", window: 8 } }],
  [
    "circuit, 20 movements",
    {
      kind: "circuit",
      movements: Array.from({ length: 20 }, () => ({
        name: "Hop",
        seconds: 30,
        metres: 25,
        breather: false,
      })),
      rounds: range(1, 10, 20),
      restSeconds: 5,
      roundRestSeconds: 60,
    },
  ],
];

console.log("\nlevels of a dose, median, ms (aim: below 1)");
for (const [name, dose] of doses) {
  // A copy each time: what was computed once is remembered.
  const took = median(41, () => levelsOf({ ...dose }));
  console.log(`  ${name.padEnd(40)}${took.toFixed(3).padStart(8)}`);
}
