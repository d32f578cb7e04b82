import fc from "fast-check";
import { anyDose } from "../testing/generate";
import { moveEnd } from "./adjustDose";
import { describeChange } from "./describeChange";
import { type Dose, doseSchema } from "./dose";
import { idealLevel, levelsOf } from "./levelsOf";

const reps: Dose = {
  kind: "reps",
  sets: { floor: 1, ideal: 3, ceiling: 3 },
  reps: { floor: 4, ideal: 5, ceiling: 6 },
  secondsPerRep: 4,
  sides: "both",
  restSeconds: 30,
};

const at = (dose: Dose, k: number) => levelsOf(dose)[k];
const ideal = (dose: Dose) => at(dose, idealLevel(dose));

describe("durations worked by hand", () => {
  it("time: seconds a side and one changeover", () => {
    const dose: Dose = {
      kind: "time",
      seconds: { floor: 60, ideal: 100, ceiling: 120 },
      step: 30,
      sides: "both",
      changeoverSeconds: 10,
    };
    // 60, 90, then the ideal though no step lands on it, then the ceiling though it is less than a step away.
    expect(levelsOf(dose).map((l) => l.seconds)).toEqual([130, 190, 210, 250]);
    expect(ideal(dose)).toMatchObject({ seconds: 210, workSeconds: 200, words: "1:40 a side" });
  });

  it("reps: 3 × 5 a side at 4 s with 30 s rest are six bouts of 20 s and five rests", () => {
    expect(ideal(reps)).toEqual({
      seconds: 6 * 20 + 5 * 30,
      workSeconds: 120,
      volume: { unit: "reps", amount: 30 },
      words: "3 × 5 a side, 30 s rest",
      counts: [
        { noun: ["set", "sets"], amount: 3 },
        { noun: ["rep", "reps"], amount: 5 },
      ],
    });
  });

  it("reps: sets go before repetitions, and repetitions grow before sets", () => {
    expect(levelsOf(reps).map((l) => l.words.split(" a side")[0])).toEqual([
      "4 reps",
      "5 reps",
      "2 × 5",
      "3 × 5",
      "3 × 6",
    ]);
  });

  it("attempts: no rest after the last; a multiple of the work is rounded up", () => {
    const dose: Dose = {
      kind: "attempts",
      attempts: { floor: 1, ideal: 3, ceiling: 3 },
      secondsEach: 7,
      sides: "one",
      rest: { kind: "multiple", times: 1.5 },
    };
    expect(levelsOf(dose).map((l) => l.seconds)).toEqual([7, 25, 43]);
    expect(ideal(dose)?.words).toBe("3 attempts, 11 s rest");
    expect(at(dose, 0)?.words).toBe("1 attempt");
  });
});

describe("every dose", () => {
  it("has rising whole levels with its ideal among them", () => {
    fc.assert(
      fc.property(anyDose, (dose) => {
        const levels = levelsOf(dose);
        const wanted = levels[idealLevel(dose)];
        expect(doseSchema.parse(dose)).toEqual(dose);
        expect(levels.length).toBeLessThanOrEqual(60);
        levels.forEach((level, k) => {
          expect(Number.isInteger(level.seconds) && level.seconds > 0).toBe(true);
          expect(Number.isInteger(level.volume.amount)).toBe(true);
          expect(level.workSeconds).toBeLessThanOrEqual(level.seconds);
          if (k > 0) expect(level.seconds).toBeGreaterThan(levels[k - 1]?.seconds ?? 0);
        });
        const amount = dose.kind === "time" ? dose.seconds : dose.kind === "reps" ? dose.reps : dose.attempts;
        expect(wanted?.counts.at(-1)?.amount).toBe(amount.ideal);
      }),
    );
  });
});

describe("what is refused", () => {
  const bad: [string, unknown, string][] = [
    ["a floor above the ideal", { ...reps, sets: { floor: 4, ideal: 3, ceiling: 5 } }, "sets.floor"],
    ["a ceiling below the ideal", { ...reps, sets: { floor: 1, ideal: 3, ceiling: 2 } }, "sets.ceiling"],
    ["no repetitions", { ...reps, reps: { floor: 0, ideal: 5, ceiling: 5 } }, "reps.floor"],
    ["a negative rest", { ...reps, restSeconds: -1 }, "restSeconds"],
    ["part of a repetition", { ...reps, reps: { floor: 1, ideal: 2.4, ceiling: 5 } }, "reps.ideal"],
    ["an enormous dose", { ...reps, reps: { floor: 1, ideal: 1e12, ceiling: 1e12 } }, "reps.ideal"],
    ["more choices than 60", { ...reps, reps: { floor: 1, ideal: 5, ceiling: 100 } }, "reps"],
    ["an unknown kind", { kind: "vibes" }, "kind"],
    ["an unknown field", { ...reps, extra: 1 }, ""],
  ];
  it.each(bad)("%s", (_, dose, path) => {
    const answer = doseSchema.safeParse(dose);
    expect(answer.error?.issues.map((i) => i.path.join("."))).toContain(path);
  });
});

it("a change is said in the words of what changed", () => {
  expect(describeChange(at(reps, 3) as never, at(reps, 2) as never)).toBe("3 → 2 sets");
  expect(describeChange(at(reps, 3) as never, at(reps, 0) as never)).toBe("3 → 1 set, 5 → 4 reps");
  expect(describeChange(at(reps, 3) as never, at(reps, 3) as never)).toBe("");
});

it("moving one end pushes the others and stops at the limits", () => {
  const range = { floor: 30, ideal: 60, ceiling: 60 };
  const limits = { step: 15, least: 15, most: 90 };
  expect(moveEnd(range, "ideal", 1, limits)).toEqual({ floor: 30, ideal: 75, ceiling: 75 });
  expect(moveEnd(range, "ceiling", -3, limits)).toEqual({ floor: 15, ideal: 15, ceiling: 15 });
  expect(moveEnd(range, "floor", 9, limits)).toEqual({ floor: 90, ideal: 90, ceiling: 90 });
});
