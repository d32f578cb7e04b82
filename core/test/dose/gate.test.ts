import fc from "fast-check";
import { type GateRule, gateDistribution, meanTries, triesFor } from "../../src/dose/kinds/gateDistribution";
import { type GateDose, gateDoseSchema, gateLevels, triesUnderCap } from "../../src/dose/kinds/gateDose";
import { idealLevel } from "../../src/dose/levelsOf";
import { random } from "../../src/maths/random";
import { cases } from "../made/cases";

/** Throws until the gate opens, as a person would: nothing of the distribution is known here. */
function tries(rule: GateRule, hits: number, chance: number, next: () => number, most: number): number {
  const thrown: boolean[] = [];
  while (thrown.length < most) {
    thrown.push(next() < chance);
    const looked =
      rule.kind === "total" ? thrown : rule.kind === "row" ? thrown.slice(-hits) : thrown.slice(-rule.window);
    if (looked.filter(Boolean).length >= hits) return thrown.length;
  }
  return Number.POSITIVE_INFINITY;
}

describe("the distribution of the number of tries", () => {
  it("worked by hand", () => {
    expect(gateDistribution({ kind: "total" }, 1, 0.5, 3)).toEqual([0.5, 0.75, 0.875]);
    expect(gateDistribution({ kind: "total" }, 2, 0.5, 3)).toEqual([0, 0.25, 0.5]);
    expect(gateDistribution({ kind: "row" }, 2, 0.5, 4)).toEqual([0, 0.25, 0.375, 0.5]);
    // Two of the last three: HH, HMH, MHH after three tries.
    expect(gateDistribution({ kind: "of", window: 3 }, 2, 0.5, 3)).toEqual([0, 0.25, 0.5]);
  });

  const rules: GateRule[] = [{ kind: "total" }, { kind: "row" }, { kind: "of", window: 6 }];
  it.each(rules.flatMap((rule) => [0.35, 0.6, 0.9].map((chance) => [rule, chance] as const)))(
    "as in 20,000 simulated gates: %j at a chance of %d",
    (rule, chance) => {
      const next = random(7);
      const counts = Array.from({ length: 20_000 }, () => tries(rule, 3, chance, next, 60));
      gateDistribution(rule, 3, chance, 60).forEach((exact, i) => {
        const simulated = counts.filter((n) => n <= i + 1).length / counts.length;
        // Five standard errors: one in three million a point, and the seed is fixed.
        const error = 5 * Math.sqrt((exact * (1 - exact)) / counts.length) + 1e-9;
        expect(Math.abs(simulated - exact)).toBeLessThan(error);
      });
    },
  );

  it("never falls, and a window as wide as there are tries is the same as hits in all", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 99 }).map((p) => p / 100),
        (hits, chance) => {
          for (const rule of [...rules, { kind: "of", window: 8 } as const]) {
            if (rule.kind === "of" && rule.window < hits) continue;
            const chances = gateDistribution(rule, hits, chance, 30);
            expect(chances).toEqual([...chances].sort((a, b) => a - b));
          }
          const all = gateDistribution({ kind: "total" }, hits, chance, 8);
          const window = gateDistribution({ kind: "of", window: 8 }, hits, chance, 8);
          for (const [i, p] of all.entries()) expect(window[i]).toBeCloseTo(p, 12);
        },
      ),
    );
  });

  it("says when no number of tries is enough", () => {
    expect(triesFor({ kind: "row" }, 10, 0.1, 0.8, 50)).toBeNull();
    expect(triesFor({ kind: "total" }, 3, 0.9, 0.8, 50)).toBe(4);
  });
});

describe("a gate's time", () => {
  const gate: GateDose = {
    kind: "gate",
    rule: { kind: "total" },
    hits: { floor: 1, ideal: 3, ceiling: 6 },
    chancePercent: 90,
    secondsEach: 10,
    restSeconds: 5,
    surePercent: 80,
    capSeconds: 70,
    sides: "one",
  };

  it("is that of the tries which open it with the chosen probability", () => {
    expect(gateLevels(gate)[2]).toMatchObject({
      seconds: 4 * 10 + 3 * 5,
      volume: { unit: "tries", amount: 4 },
      words: "3 hits, at most 1:10",
    });
  });

  it("is never above the cap, and hits that all run into it are one level", () => {
    const levels = gateLevels(gate);
    expect(levels.map((l) => l.seconds)).toEqual([10, 25, 55, 70]);
    expect(levels.at(-1)?.counts[0]?.amount).toBe(6);
    expect(triesUnderCap(gate)).toBe(5);
    const hopeless = { ...gate, chancePercent: 1, hits: { floor: 5, ideal: 5, ceiling: 6 } };
    expect(gateLevels(hopeless).map((l) => [l.seconds, l.counts[0]?.amount])).toEqual([[70, 5]]);
    expect(idealLevel(hopeless)).toBe(0);
  });

  it("for every gate: whole seconds, rising, under the cap a side", () => {
    const anyGate = fc
      .record({
        kind: fc.constant("gate" as const),
        rule: fc.constantFrom<GateRule>({ kind: "total" }, { kind: "row" }, { kind: "of", window: 7 }),
        hits: fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 })).map(([a, b]) => ({
          floor: Math.min(a, b),
          ideal: Math.max(a, b),
          ceiling: 7,
        })),
        chancePercent: fc.integer({ min: 1, max: 99 }),
        secondsEach: fc.integer({ min: 1, max: 20 }),
        restSeconds: fc.integer({ min: 0, max: 10 }),
        surePercent: fc.integer({ min: 50, max: 99 }),
        capSeconds: fc.integer({ min: 20, max: 600 }),
        sides: fc.constantFrom("one" as const, "both" as const),
      })
      .filter((g) => gateDoseSchema.safeParse(g).success);
    fc.assert(
      fc.property(anyGate, (dose) => {
        const most = dose.capSeconds * (dose.sides === "both" ? 2 : 1);
        gateLevels(dose).forEach((level, i, all) => {
          expect(level.seconds).toBeLessThanOrEqual(most);
          expect(level.workSeconds).toBeLessThanOrEqual(level.seconds);
          if (i > 0) expect(level.seconds).toBeGreaterThan(all[i - 1]?.seconds ?? 0);
        });
        expect(gateLevels(dose)[idealLevel(dose)]?.counts[0]?.amount).toBe(dose.hits.ideal);
      }),
      cases(60),
    );
  });
});

it("says how many tries it takes on average: one hit at one in two takes two, three in a row at one in two fourteen", () => {
  expect(meanTries({ kind: "total" }, 1, 0.5, 200)).toBeCloseTo(2, 9);
  expect(meanTries({ kind: "total" }, 3, 0.25, 200)).toBeCloseTo(12, 6);
  expect(meanTries({ kind: "row" }, 3, 0.5, 2000)).toBeCloseTo(14, 6);
  // Over after two tries whatever was hit: one try by half of the chances, else two.
  expect(meanTries({ kind: "total" }, 1, 0.5, 2)).toBeCloseTo(1.5, 9);
});

it("that hardly ever opens takes the cap, for each of two in turn", () => {
  const dose: GateDose = {
    kind: "gate",
    rule: { kind: "total" },
    hits: { floor: 5, ideal: 5, ceiling: 5 },
    chancePercent: 5,
    secondsEach: 10,
    restSeconds: 0,
    surePercent: 99,
    capSeconds: 60,
    sides: "one",
  };
  expect(gateLevels(dose).map((l) => l.seconds)).toEqual([60]);
  const inTurn = { ...dose, partner: { mode: "alternating" as const, changeoverSeconds: 0 } };
  expect(gateLevels(inTurn).map((l) => l.seconds)).toEqual([120]);
});
