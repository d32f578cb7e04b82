import type { CircuitDose } from "../../src/dose/kinds/circuitDose";
import { idealPlain, plainLevels } from "../../src/dose/kinds/plainLevels";
import { type RepsDose, repsDoseSchema } from "../../src/dose/kinds/repsDose";

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
