import fc from "fast-check";
import { describeChange } from "../../src/dose/describeChange";
import { type Dose, doseSchema } from "../../src/dose/dose";
import type { CircuitDose } from "../../src/dose/kinds/circuitDose";
import { mainRange } from "../../src/dose/kinds/mainRange";
import { idealPlain, plainLevels } from "../../src/dose/kinds/plainLevels";
import { type RepsDose, repsDoseSchema } from "../../src/dose/kinds/repsDose";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { moveEnd } from "../../src/dose/moveEnd";
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

describe("what is refused", () => {
  const endless = ({ ceiling = 20, step = 5 }) => ({
    kind: "time",
    seconds: { floor: 5, ideal: 10, ceiling },
    step,
    sides: "one",
    changeoverSeconds: 0,
  });
  const rung = (dose: unknown = reps) => ({
    id: "11111111-1111-4111-8111-111111111111",
    label: "",
    intensity: 50,
    dose,
    focus: "",
    restSeconds: 0,
  });
  const counts = {
    kind: "counts",
    phrases: { floor: 1, ideal: 4, ceiling: 4 },
    counts: 8,
    beatsPerMinute: 120,
    sides: "one",
    changeoverSeconds: 0,
  };
  const gate = {
    kind: "gate",
    rule: { kind: "total" },
    hits: { floor: 2, ideal: 4, ceiling: 5 },
    chancePercent: 60,
    secondsEach: 10,
    restSeconds: 0,
    surePercent: 80,
    capSeconds: 120,
    sides: "one",
  };
  const range = { floor: 1, ideal: 1, ceiling: 1 };
  const circuit = { kind: "circuit", movements: [], rounds: range, restSeconds: 0, roundRestSeconds: 0 };
  const lengths = {
    kind: "lengths",
    rounds: range,
    lengths: range,
    metres: 25,
    secondsEach: 10,
    turnSeconds: 0,
    back: "none",
    walkSeconds: 0,
    restSeconds: 0,
  };
  const bad: [string, unknown, string][] = [
    ["a floor above the ideal", { ...reps, sets: { floor: 4, ideal: 3, ceiling: 5 } }, "sets.floor"],
    ["a ceiling below the ideal", { ...reps, sets: { floor: 1, ideal: 3, ceiling: 2 } }, "sets.ceiling"],
    ["no repetitions", { ...reps, reps: { floor: 0, ideal: 5, ceiling: 5 } }, "reps.floor"],
    ["a negative rest", { ...reps, restSeconds: -1 }, "restSeconds"],
    ["part of a repetition", { ...reps, reps: { floor: 1, ideal: 2.4, ceiling: 5 } }, "reps.ideal"],
    ["an enormous dose", { ...reps, reps: { floor: 1, ideal: 1e12, ceiling: 1e12 } }, "reps.ideal"],
    ["more choices than 60", { ...reps, reps: { floor: 1, ideal: 5, ceiling: 100 } }, "reps"],
    ["an unknown kind", { kind: "vibes" }, "kind"],
    ["500 beats a minute", { ...counts, beatsPerMinute: 500 }, "beatsPerMinute"],
    ["a chance of 0", { ...gate, chancePercent: 0 }, "chancePercent"],
    ["a chance of 100", { ...gate, chancePercent: 100 }, "chancePercent"],
    ["a cap below one try", { ...gate, capSeconds: 9 }, "capSeconds"],
    ["more hits than tries looked back on", { ...gate, rule: { kind: "of", window: 3 } }, "hits.ceiling"],
    ["a window too wide to reckon", { ...gate, rule: { kind: "of", window: 40 } }, "rule.window"],
    ["a circuit of nothing", { ...circuit, movements: [] }, "movements"],
    [
      "a movement without a name",
      { ...circuit, movements: [{ name: " ", seconds: 20, metres: 0, breather: false }] },
      "movements.0.name",
    ],
    ["a length of nothing", { ...lengths, metres: 0 }, "metres"],
    ["an unknown field", { ...reps, extra: 1 }, ""],
    ["a ladder of nothing", { kind: "ladder", rungs: [], leastRungs: 1 }, "rungs"],
    ["more rungs asked for than there are", { kind: "ladder", rungs: [rung()], leastRungs: 2 }, "leastRungs"],
    ["two rungs of one id", { kind: "ladder", rungs: [rung(), rung()], leastRungs: 1 }, "rungs"],
    [
      "a rung's impossible dose",
      { kind: "ladder", rungs: [rung({ ...gate, chancePercent: 0 })], leastRungs: 1 },
      "rungs.0.dose.chancePercent",
    ],
    [
      "a rung of a thousand million levels",
      { kind: "ladder", rungs: [rung(endless({ ceiling: 2_000_000_000 }))], leastRungs: 1 },
      "rungs.0.dose.seconds.ceiling",
    ],
    [
      "a rung in steps of nothing",
      { kind: "ladder", rungs: [rung(endless({ step: 0 }))], leastRungs: 1 },
      "rungs.0.dose.step",
    ],
    [
      "a ladder in a ladder",
      { kind: "ladder", rungs: [rung({ kind: "ladder", rungs: [], leastRungs: 1 })], leastRungs: 1 },
      "rungs.0.dose.kind",
    ],
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

it("less of what is wanted is less at most too, and more of it brings that back", () => {
  const range = { floor: 30, ideal: 90, ceiling: 120 };
  const limits = { step: 15, least: 15, most: 600 };
  const less = moveEnd(range, "ideal", -1, limits);
  expect(less).toEqual({ floor: 30, ideal: 75, ceiling: 105 });
  expect(moveEnd(less, "ideal", 1, limits)).toEqual(range);
});

it("what lies beyond the limits already is not moved the other way", () => {
  const limits = { step: 1, least: 1, most: 40 };
  const many = { floor: 50, ideal: 60, ceiling: 70 };
  expect(moveEnd(many, "ideal", 1, limits)).toEqual(many);
  expect(moveEnd(many, "ideal", -1, limits)).toEqual({ floor: 50, ideal: 59, ceiling: 69 });
});

describe("what a coach writes on a card", () => {
  const fixed = (n: number) => ({ floor: n, ideal: n, ceiling: n });
  const sets: RepsDose = {
    kind: "reps",
    sets: { floor: 1, ideal: 3, ceiling: 4 },
    reps: { floor: 3, ideal: 5, ceiling: 8 },
    secondsPerRep: 4,
    sides: "one",
    restSeconds: 0,
    slotSeconds: 120,
    slotFor: "drill",
  };

  it("three sets of five in a slot of two minutes: the rest is what remains", () => {
    expect(plainLevels(sets)).toEqual([
      {
        seconds: 120,
        workSeconds: 60,
        actions: 15,
        volume: { unit: "reps", amount: 15 },
        words: "3 × 5, 30 s rest, in a slot of 2:00",
        counts: [
          { noun: ["set", "sets"], amount: 3 },
          { noun: ["rep", "reps"], amount: 5 },
        ],
      },
    ]);
    expect(idealPlain(sets)).toBe(0);
    // Six bouts of 20 s in turn fill the slot: nothing is left to rest but the partner's set.
    const inTurn: RepsDose = { ...sets, partner: { mode: "alternating", changeoverSeconds: 0 } };
    expect(plainLevels(inTurn)[0]).toMatchObject({ seconds: 120, workSeconds: 60 });
    expect(repsDoseSchema.safeParse(inTurn).success).toBe(true);
    for (const [slotSeconds, fits] of [
      [59, false],
      [60, true],
    ] as const)
      expect(repsDoseSchema.safeParse({ ...sets, slotSeconds }).success).toBe(fits);
    expect(repsDoseSchema.safeParse({ ...inTurn, slotSeconds: 119 }).error?.issues[0]?.path).toEqual([
      "slotSeconds",
    ]);
    expect(repsDoseSchema.safeParse({ ...sets, slotSeconds: undefined }).success).toBe(false);
  });

  it("a tempo of half seconds: five reps of 4.5 s take 23 s", () => {
    const slow: RepsDose = {
      kind: "reps",
      sets: fixed(2),
      reps: fixed(5),
      secondsPerRep: 4.5,
      tempo: { down: 2.5, hold: 0.5, up: 1.5 },
      sides: "one",
      restSeconds: 30,
    };
    expect(repsDoseSchema.parse(slow)).toEqual(slow);
    expect(plainLevels(slow)[0]).toMatchObject({
      seconds: 23 + 30 + 23,
      workSeconds: 46,
      words: "2 × 5, 2.5 s down 0.5 s hold 1.5 s up, 30 s rest",
    });
    expect(repsDoseSchema.safeParse({ ...slow, secondsPerRep: 4.2, tempo: undefined }).success).toBe(false);
  });

  it("mine, yours: the partner's set is the rest, and only a longer rest comes on top", () => {
    const tries = (seconds: number) =>
      plainLevels({
        kind: "attempts",
        attempts: fixed(3),
        secondsEach: 20,
        sides: "one",
        rest: { kind: "fixed", seconds },
        partner: { mode: "alternating", changeoverSeconds: 0 },
      })[0];
    expect(tries(0)).toMatchObject({ seconds: 120, workSeconds: 60, actions: 3 });
    expect(tries(20)).toMatchObject({ seconds: 120 });
    expect(tries(50)).toMatchObject({ seconds: 120 + 2 * 30 });
  });

  it("eight movements there and back over 25 m at 20 s a way are 400 m and 320 s a round", () => {
    const lane = (actions?: number): CircuitDose => ({
      kind: "circuit",
      movements: Array.from({ length: 8 }, () => ({
        name: "Skips",
        seconds: 20,
        metres: 25,
        breather: false,
        back: true as const,
        ...(actions === undefined ? {} : { actions }),
      })),
      rounds: fixed(2),
      restSeconds: 0,
      roundRestSeconds: 60,
    });
    expect(plainLevels(lane())[0]).toMatchObject({
      seconds: 2 * 320 + 60,
      words: "2 rounds of 8, 60 s between, 400 m a round, 800 m",
      actions: 0,
      uncounted: true,
    });
    expect(plainLevels(lane(3))[0]).toMatchObject({ actions: 48 });
    expect(plainLevels(lane(3))[0]).not.toHaveProperty("uncounted");
  });

  it("counts the actions in a length of time where it is said how often they come", () => {
    const time = (more: object) =>
      plainLevels({
        kind: "time",
        seconds: fixed(100),
        step: 5,
        sides: "both",
        changeoverSeconds: 10,
        ...more,
      })[0];
    expect(time({})).toMatchObject({ actions: 0, uncounted: true });
    expect(time({ secondsPerAction: 8 })).toMatchObject({ actions: 24 });
    expect(time({ secondsPerAction: 8 })).not.toHaveProperty("uncounted");
  });
});
