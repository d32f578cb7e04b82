import fc from "fast-check";
import { doseSchema } from "../../src/dose/dose";
import { firstDose, type PlainDose } from "../../src/dose/kinds/plainDose";
import { firstLadder } from "../../src/dose/ladder/firstLadder";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { withKind } from "../../src/dose/withKind";
import { cases } from "../made/cases";
import { anyId } from "../made/ids";

const time = (floor: number, ideal: number, ceiling: number, more: object = {}) =>
  ({
    kind: "time",
    seconds: { floor, ideal, ceiling },
    step: 15,
    sides: "one",
    changeoverSeconds: 0,
    ...more,
  }) as PlainDose;
const seconds = (dose: Parameters<typeof levelsOf>[0]) => {
  const levels = levelsOf(dose);
  return [levels[0]?.seconds, levels[idealLevel(dose)]?.seconds, levels.at(-1)?.seconds];
};
const KINDS = ["time", "reps", "lengths", "counts", "attempts", "gate", "circuit"] as const;

it("two minutes stay two minutes, or the nearest whole count to that", () => {
  const dose = time(60, 120, 120);
  // By hand: 3 sets of 8 reps of 3 s with 20 s between, as usual as may be within a tenth; 30 phrases of 4 s; 5 attempts of 10 s with 20 s between.
  expect(seconds(withKind(dose, "reps"))[1]).toBe(3 * 8 * 3 + 2 * 20);
  expect(seconds(withKind(dose, "counts"))[1]).toBe(30 * 4);
  expect(seconds(withKind(dose, "attempts"))[1]).toBe(5 * 10 + 4 * 20);
  expect(seconds(withKind(dose, "gate"))[1]).toBeLessThanOrEqual(120);
});

it("keeps each side and the partner that there was", () => {
  const partner = { mode: "swapped" as const, changeoverSeconds: 15 };
  const dose = withKind(time(30, 60, 60, { sides: "both", partner }), "reps");
  expect(dose).toMatchObject({ kind: "reps", sides: "both", partner });
});

it("there and back again is the same time, for any time and any kind", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: 0, max: 20 }),
      fc.integer({ min: 0, max: 20 }),
      fc.constantFrom(...KINDS),
      (floor, more, most, kind) => {
        const [low, ideal, high] = [floor * 15, (floor + more) * 15, (floor + more + most) * 15];
        const other = withKind(time(low, ideal, high), kind);
        expect(doseSchema.safeParse(other).success).toBe(true);
        const back = withKind(other, "time");
        for (const [i, s] of seconds(back).entries())
          expect(Math.abs((s ?? 0) - (seconds(other)[i] ?? 0))).toBeLessThanOrEqual(2.5);
      },
    ),
    cases(60),
  );
});

it("no other count of attempts is nearer to the time there was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 80 }), (n) => {
      const wanted = n * 15;
      const got = seconds(withKind(time(wanted, wanted, wanted), "attempts"))[1] ?? 0;
      const off = (count: number) => Math.abs(count * 10 + (count - 1) * 20 - wanted);
      const counts = Array.from({ length: 30 }, (_, i) => i + 1);
      expect(Math.abs(got - wanted)).toBeLessThanOrEqual(Math.min(...counts.map(off)));
    }),
  );
});

it("a ladder begins with half of it on each of two rungs", () => {
  const [, ideal] = seconds(firstLadder(time(60, 135, 135), anyId));
  expect(ideal).toBe(135);
  expect(seconds(firstLadder(firstDose("circuit"), anyId))[1]).toBeGreaterThan(0);
});
