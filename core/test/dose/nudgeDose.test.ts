import { firstDose } from "../../src/dose/kinds/plainDose";
import { firstLadder } from "../../src/dose/ladder/firstLadder";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { nudgeDose } from "../../src/dose/nudgeDose";
import { anyId } from "../made/ids";

const words = (dose: Parameters<typeof nudgeDose>[0]) => levelsOf(dose)[idealLevel(dose)]?.words;

it("gives one step more or less of the main count, on every rung of a ladder", () => {
  expect(words(nudgeDose(firstDose("reps"), 1))).toContain("2 × 9");
  expect(words(nudgeDose(firstDose("time"), -1))).toBe("1:30");
  expect(words(nudgeDose(firstLadder(firstDose("attempts"), anyId), 1))).toContain("6 reps");
});

it("stops where a dose would be none", () => {
  let dose = firstDose("attempts") as Parameters<typeof nudgeDose>[0];
  for (let i = 0; i < 9; i++) dose = nudgeDose(dose, -1);
  expect(words(dose)).toContain("1 attempt");
});

it("leaves a dose that could not be", () => {
  const gate = { ...firstDose("gate"), rule: { kind: "of" as const, window: 4 } } as Parameters<
    typeof nudgeDose
  >[0];
  // Four hits are all that four tries looked back on can be.
  expect(nudgeDose(gate, 1)).toBe(gate);
});
