import fc from "fast-check";
import { describeChange } from "../../src/dose/describeChange";
import { type Dose, doseSchema } from "../../src/dose/dose";
import { mainRange } from "../../src/dose/kinds/mainRange";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { anyDose } from "../made/generate";

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
      actions: 30,
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

it("reps to a tempo, and with a set every so often, whose rest is what is left", () => {
  const paced: Dose = {
    ...reps,
    sides: "one",
    secondsPerRep: 4,
    tempo: { down: 2, hold: 0, up: 2 },
    slotSeconds: 40,
  };
  expect(ideal(paced)).toMatchObject({
    seconds: 120,
    workSeconds: 60,
    words: "3 × 5, 2 s down 2 s up, one every 0:40",
  });
  // Fewer repetitions in a slot save no time, so only sets are given up.
  expect(levelsOf(paced).map((l) => l.seconds)).toEqual([40, 80, 120]);
  const faulty = doseSchema.safeParse({ ...paced, tempo: { down: 3, hold: 0, up: 2 } });
  expect(faulty.error?.issues[0]?.path).toEqual(["tempo"]);
  expect(doseSchema.safeParse({ ...paced, slotSeconds: 19 }).error?.issues[0]?.path).toEqual(["slotSeconds"]);
});

describe("lengths", () => {
  const lane: Dose = {
    kind: "lengths",
    rounds: { floor: 1, ideal: 2, ceiling: 2 },
    lengths: { floor: 2, ideal: 4, ceiling: 4 },
    metres: 25,
    secondsEach: 15,
    turnSeconds: 2,
    back: "same",
    walkSeconds: 20,
    restSeconds: 30,
  };
  it("there and back count both ways, in seconds and in metres", () => {
    // A round: 8 ways of 15 s and 7 turns of 2 s. Two of them and a rest.
    expect(ideal(lane)).toMatchObject({
      seconds: 2 * (8 * 15 + 7 * 2) + 30,
      workSeconds: 240,
      volume: { unit: "metres", amount: 400 },
      words: "2 × 4 lengths of 25 m there and back, 30 s rest, 400 m",
    });
  });
  it("a walk back takes time and is no metres; there is none after the last", () => {
    const walked = ideal({ ...lane, rounds: { floor: 1, ideal: 1, ceiling: 1 }, back: "walk" });
    expect(walked).toMatchObject({
      seconds: 4 * 15 + 3 * 2 + 3 * 20,
      workSeconds: 60,
      volume: { unit: "metres", amount: 100 },
      words: "4 lengths of 25 m, walk back, 100 m",
    });
  });
});

describe("counts", () => {
  const dance: Dose = {
    kind: "counts",
    phrases: { floor: 1, ideal: 4, ceiling: 4 },
    counts: 8,
    beatsPerMinute: 120,
    sides: "both",
    changeoverSeconds: 3,
  };
  it("8 counts at 120 a minute are four seconds", () => {
    expect(ideal(dance)).toMatchObject({
      seconds: 2 * 16 + 3,
      volume: { unit: "counts", amount: 64 },
      words: "4 × 8 counts a side at 120 a minute",
    });
  });
  it("of phrases that end in the same second the most are kept, and the ideal always", () => {
    const quick: Dose = { ...dance, counts: 1, beatsPerMinute: 240, sides: "one" };
    const levels = levelsOf(quick);
    expect(levels.map((l) => [l.seconds, l.counts[0]?.amount])).toEqual([[1, 4]]);
    const three = { ...quick, phrases: { floor: 1, ideal: 3, ceiling: 5 } };
    expect(levelsOf(three).map((l) => [l.seconds, l.counts[0]?.amount])).toEqual([
      [1, 3],
      [2, 5],
    ]);
    expect(ideal(three)?.counts[0]?.amount).toBe(3);
  });
});

describe("a circuit", () => {
  const movement = { name: "Crawl", seconds: 40, metres: 50, breather: false };
  const circuit: Dose = {
    kind: "circuit",
    movements: Array.from({ length: 8 }, (_, i) => ({ ...movement, breather: i % 4 === 3 })),
    rounds: { floor: 1, ideal: 2, ceiling: 3 },
    restSeconds: 5,
    roundRestSeconds: 60,
  };
  it("eight movements there and back over 25 m are 400 m a round", () => {
    expect(ideal(circuit)).toMatchObject({
      seconds: 2 * (8 * 40 + 7 * 5) + 60,
      volume: { unit: "metres", amount: 800 },
      words: "2 rounds of 8, 60 s between, 400 m a round, 800 m",
    });
    expect(at(circuit, 0)).toMatchObject({ seconds: 355, words: "1 round of 8, 400 m" });
  });
  it("on the spot is counted in seconds", () => {
    const still = { ...circuit, movements: [{ ...movement, metres: 0 }] };
    expect(ideal(still)).toMatchObject({ seconds: 140, volume: { unit: "seconds", amount: 80 } });
  });
});

describe("with a partner", () => {
  const partner = (mode: "together" | "alternating" | "swapped"): Dose => ({
    ...reps,
    partner: { mode, changeoverSeconds: 15 },
  });
  it.each([
    ["together", 270, "together"],
    ["alternating", 6 * (20 + 20) + 5 * (30 - 20), "in turn"],
    ["swapped", 555, "roles swapped"],
  ] as const)("%s", (mode, seconds, words) => {
    expect(ideal(partner(mode))).toMatchObject({
      seconds,
      workSeconds: 120,
      words: `3 × 5 a side, 30 s rest, ${words}`,
    });
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
        if (dose.kind === "ladder") expect(wanted?.rungs).toHaveLength(dose.rungs.length);
        else expect(wanted?.counts.at(-1)?.amount).toBe(mainRange(dose).ideal);
      }),
    );
  });
});

it("a change is said in the words of what changed", () => {
  expect(describeChange(at(reps, 3) as never, at(reps, 2) as never, "wanted")).toBe("2 sets (wanted 3)");
  expect(describeChange(at(reps, 3) as never, at(reps, 0) as never, "was")).toBe(
    "1 set (was 3), 4 reps (was 5)",
  );
  expect(describeChange(at(reps, 3) as never, at(reps, 3) as never, "was")).toBe("");
});
