import { firstDose, type PlainDose } from "../../src/dose/kinds/plainDose";
import {
  changeRung,
  copyRung as copyRungWith,
  moveRung,
  removeRung,
  topOf,
} from "../../src/dose/ladder/editRungs";
import { firstLadder } from "../../src/dose/ladder/firstLadder";
import type { LadderDose } from "../../src/dose/ladder/ladderDose";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { lostLabels } from "../../src/ladder/lostLabels";
import { anyId } from "../made/ids";

const copyRung = (dose: LadderDose, id: string) => copyRungWith(dose, id, anyId);
const ladder = firstLadder(firstDose("attempts"), anyId);
const [low, high] = ladder.rungs.map((r) => r.id) as [string, string];
const efforts = (dose: LadderDose) => dose.rungs.map((r) => r.intensity);

it("copies a rung a step up, right after it, with an id of its own", () => {
  const more = copyRung(ladder, low);
  expect(efforts(more)).toEqual([30, 40, 50]);
  expect(new Set(more.rungs.map((r) => r.id)).size).toBe(3);
  let full = ladder;
  for (let i = 0; i < 40; i++) full = copyRung(full, low);
  expect(full.rungs).toHaveLength(16);
});

it("removes rungs down to one, and asks for no more than there are", () => {
  const one = removeRung({ ...ladder, leastRungs: 2 }, high);
  expect([efforts(one), one.leastRungs]).toEqual([[30], 1]);
  expect(removeRung(one, low)).toBe(one);
});

it("moves within the ladder only, and changes one rung", () => {
  expect(efforts(moveRung(ladder, low, 1))).toEqual([50, 30]);
  expect(moveRung(ladder, low, -1)).toBe(ladder);
  expect(topOf(changeRung(ladder, high, { intensity: 75 }))).toBe(75);
});

it("names what a scale has lost under a plan, and only that", () => {
  const graded = changeRung(changeRung(ladder, low, { label: "Single", chancePercent: 90 }), high, {
    label: "By feel",
  });
  const scale = (...names: string[]) => ({
    id: low,
    name: "Jumps",
    kind: "grade" as const,
    items: names.map((name) => ({ name, intensity: 30, chancePercent: 90 })),
  });
  expect(lostLabels(graded, [scale("Single")])).toEqual([]);
  expect(lostLabels(graded, [scale("Double")])).toEqual(["Single"]);
  expect(lostLabels(graded, [])).toEqual([]);
});

it("a ladder names all that its rungs hold, each in what it is counted in", () => {
  const rung = (dose: PlainDose, intensity: number) => ({
    id: anyId(),
    label: "",
    intensity,
    dose,
    focus: "",
    restSeconds: 0,
  });
  const mixed = {
    kind: "ladder" as const,
    leastRungs: 1,
    rungs: [
      rung(firstDose("circuit"), 20),
      rung(firstDose("reps"), 40),
      rung(firstDose("attempts"), 50),
      rung(firstDose("lengths"), 60),
      rung({ ...firstDose("time"), seconds: { floor: 60, ideal: 60, ceiling: 60 } } as PlainDose, 70),
    ],
  };
  const level = levelsOf(mixed)[idealLevel(mixed)];
  // 2 × 8 reps and 3 attempts; 4 lengths of 25 m there and back; a circuit of 2 × 60 s and a minute.
  expect(level?.words).toBe("5 rungs, 20 to 70 %, 19 reps, 200 m, 3:00");
  expect(level?.counts.map((c) => c.amount)).toEqual([5, 19, 200, 180]);
});
