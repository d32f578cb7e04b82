// How long building takes: a ladder, a fill from 500 drills, and finding among 2,000. `npm run bench`.
import { APPROACHES } from "../src/approach/approaches";
import { generateLadder, LADDER_SHAPES, type LadderShape } from "../src/doors/ladderMaker";
import { fillPlan } from "../src/fill/fillPlan";
import { approachName, findDrills, noFilter } from "../src/index";
import { anyShelf, fillInput } from "../test/made/shelf";
import { median } from "./median";

const ladder = {
  bottom: 15,
  top: 90,
  stepPoints: 15,
  easyReps: 12,
  seconds: 1200,
  secondsEach: 10,
  reps: 10,
  taperPercent: 60,
  rest: { kind: "fixed" as const, seconds: 20 },
  labels: [],
  hits: 4,
  chancePercent: 60,
};
let made = 0;
const makeId = () => `00000000-0000-4000-8000-${String(made++).padStart(12, "0")}`;
const row = (name: string, took: number) => console.log(`  ${name.padEnd(40)}${took.toFixed(3).padStart(8)}`);

console.log("\nladder from its wishes, median, ms (aim: below 1)");
for (const shape of Object.keys(LADDER_SHAPES) as LadderShape[])
  row(
    LADDER_SHAPES[shape].name,
    median(41, () => generateLadder({ ...ladder, shape }, makeId)),
  );

let seed = 0;
for (const [drills, aims] of [
  [120, "aims: a first good one 300, sought 1,500"],
  [500, "aim: sought 3,000"],
] as const) {
  const shelf = anyShelf(drills);
  console.log(`\nwarm-up from an approach, ${drills} drills on the shelf, median, ms (${aims})`);
  for (const approach of APPROACHES) {
    const took = (tries?: number) =>
      median(5, () => fillPlan(fillInput(shelf, { approach, seed: seed++ }), tries ? { tries } : {}));
    row(`${approachName(approach.id)}, first`, took(1));
    row(`${approachName(approach.id)}, sought`, took());
  }
}

console.log("\nfinding among 2,000 drills, median, ms (aim: one frame, 16.7)");
const many = anyShelf(2000).map((d) => ({ ...d, archived: false, uses: 0 }));
row(
  "a word as it is typed",
  median(41, () => findDrills(many, { ...noFilter(), words: "techn 1" })),
);
row(
  "a word and three filters",
  median(41, () =>
    findDrills(many, { ...noFilter(), words: "tech", areas: ["hip"], actions: ["jump"], people: 1 }),
  ),
);
