import fc from "fast-check";
import { doseParts } from "../../src/dose/doseParts";
import type { PlainDose } from "../../src/dose/kinds/plainDose";
import { plainLevels } from "../../src/dose/kinds/plainLevels";
import { dosePartSchema } from "../../src/dose/terms/part";
import { partAt } from "../../src/run/steps/partAt";
import { cases } from "../made/cases";
import { anyPlainDose } from "../made/generate";

const partsOf = (dose: PlainDose, index = 0) => {
  const level = plainLevels(dose)[index];
  if (!level) throw new Error("no such level");
  return doseParts(dose, level);
};
const told = (dose: PlainDose, index = 0) =>
  partsOf(dose, index).map((p) => `${p.kind} ${p.seconds} ${p.words}`.trim());
const fixed = (n: number) => ({ floor: n, ideal: n, ceiling: n });

it("the parts of every dose at every level add up to it, and can be kept", () => {
  fc.assert(
    fc.property(anyPlainDose, (dose) => {
      for (const level of plainLevels(dose)) {
        const parts = doseParts(dose, level);
        expect(parts.reduce((sum, p) => sum + p.seconds, 0)).toBe(level.seconds);
        for (const part of parts) expect(dosePartSchema.parse(part)).toEqual(part);
      }
    }),
    cases(400),
  );
});

it("counts sets, sides, rests and changeovers through", () => {
  const calves: PlainDose = {
    kind: "reps",
    sets: fixed(2),
    reps: fixed(5),
    secondsPerRep: 4,
    tempo: { down: 2, hold: 1, up: 1 },
    sides: "both",
    restSeconds: 30,
  };
  expect(told(calves)).toEqual([
    "work 20 Set 1 of 2, left",
    "rest 30 Rest",
    "work 20 Set 1 of 2, right",
    "rest 30 Rest",
    "work 20 Set 2 of 2, left",
    "rest 30 Rest",
    "work 20 Set 2 of 2, right",
  ]);
  expect(told({ ...calves, sets: fixed(1), sides: "one", slotSeconds: 60 })).toEqual([
    "work 20",
    "rest 40 Rest",
  ]);
  const hold: PlainDose = {
    kind: "time",
    seconds: fixed(40),
    step: 10,
    sides: "both",
    changeoverSeconds: 8,
  };
  expect(told(hold)).toEqual(["work 40 left", "change 8 Change sides", "work 40 right"]);
});

it("gives the partner the turn, or swaps roles", () => {
  const lunges: PlainDose = {
    kind: "attempts",
    attempts: fixed(2),
    secondsEach: 6,
    sides: "one",
    rest: { kind: "fixed", seconds: 10 },
    partner: { mode: "alternating", changeoverSeconds: 0 },
  };
  expect(told(lunges)).toEqual([
    "work 6 Attempt 1 of 2",
    "rest 6 Partner's turn",
    "rest 4 Rest",
    "work 6 Attempt 2 of 2",
    "rest 6 Partner's turn",
  ]);
  expect(told({ ...lunges, partner: { mode: "swapped", changeoverSeconds: 15 } })[3]).toBe(
    "change 15 Swap roles",
  );
});

it("names the movements of a circuit, a breather as rest", () => {
  const circuit: PlainDose = {
    kind: "circuit",
    movements: [
      { name: "Skips", seconds: 20, metres: 0, breather: false },
      { name: "Walk", seconds: 15, metres: 0, breather: true },
    ],
    rounds: fixed(2),
    restSeconds: 0,
    roundRestSeconds: 30,
  };
  expect(told(circuit)).toEqual([
    "work 20 Skips, round 1 of 2",
    "rest 15 Walk, round 1 of 2",
    "rest 30 Rest",
    "work 20 Skips, round 2 of 2",
    "rest 15 Walk, round 2 of 2",
  ]);
});

describe("where one is", () => {
  const parts = partsOf({
    kind: "reps",
    sets: fixed(2),
    reps: fixed(3),
    secondsPerRep: 4,
    tempo: { down: 2, hold: 1, up: 1 },
    sides: "one",
    restSeconds: 10,
  });

  it("counts repetitions and their tempo", () => {
    expect(partAt(parts, 0)).toMatchObject({ index: 0, many: 3, remaining: 12, rep: 1, beat: "down" });
    expect(partAt(parts, 6.5)).toMatchObject({ rep: 2, beat: "hold" });
    expect(partAt(parts, 7)).toMatchObject({ rep: 2, beat: "up" });
    expect(partAt(parts, 12)).toMatchObject({ index: 1, remaining: 10, rep: null, beat: null });
    expect(partAt(parts, 22)).toMatchObject({ index: 2, rep: 1 });
  });

  it("stays in the last one when it runs over, and is nowhere without parts", () => {
    expect(partAt(parts, 99)).toMatchObject({ index: 2, remaining: -65, rep: 3 });
    expect(partAt([], 3)).toBeNull();
  });
});
