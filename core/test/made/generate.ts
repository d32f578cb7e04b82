import fc from "fast-check";
import type { Dose } from "../../src/dose/dose";
import type { PlainDose } from "../../src/dose/kinds/plainDose";
import type { LadderDose } from "../../src/dose/ladder/ladderDose";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import { PHASES } from "../../src/words/phase";
import { PRIORITIES } from "../../src/words/priority";

const sides = fc.constantFrom("one" as const, "both" as const, "dominant" as const);

function range(least: number, most: number) {
  return fc
    .tuple(
      fc.integer({ min: least, max: most }),
      fc.integer({ min: least, max: most }),
      fc.integer({ min: least, max: most }),
    )
    .map((three) => {
      const [floor, ideal, ceiling] = three.sort((a, b) => a - b) as [number, number, number];
      return { floor, ideal, ceiling };
    });
}

/** A field that may be missing altogether. */
const maybe = <K extends string, T>(key: K, of: fc.Arbitrary<T>) =>
  ({ [key]: fc.option(of, { nil: undefined }) }) as Record<K, fc.Arbitrary<T | undefined>>;

const small = (max: number) => fc.integer({ min: 0, max });

const anyPartner = fc.option(
  fc.record({
    mode: fc.constantFrom("together" as const, "alternating" as const, "swapped" as const),
    changeoverSeconds: small(9),
  }),
  { nil: undefined, freq: 3 },
);

function anySets<T>(more: { [K in keyof T]: fc.Arbitrary<T[K]> }) {
  return fc.record({
    kind: fc.constant("reps" as const),
    sets: range(1, 2),
    reps: range(3, 5),
    secondsPerRep: fc.integer({ min: 1, max: 9 }).map((halves) => halves / 2),
    sides,
    restSeconds: small(20),
    ...more,
  });
}

/** Doses of every kind with few levels, so that a brute force can try them all. */
const anyDoseAlone: fc.Arbitrary<PlainDose> = fc.oneof(
  fc.record({
    kind: fc.constant("time" as const),
    seconds: range(5, 90),
    step: fc.integer({ min: 25, max: 60 }),
    sides,
    changeoverSeconds: fc.integer({ min: 0, max: 9 }),
    ...maybe("secondsPerAction", fc.integer({ min: 1, max: 40 })),
  }),
  anySets({ ...maybe("slotSeconds", fc.integer({ min: 25, max: 40 })) }),
  anySets({
    slotSeconds: fc.integer({ min: 200, max: 260 }),
    slotFor: fc.constant("drill" as const),
  }),
  fc.record({
    kind: fc.constant("attempts" as const),
    attempts: range(1, 4),
    secondsEach: fc.integer({ min: 1, max: 15 }),
    sides,
    rest: fc.oneof(
      fc.record({ kind: fc.constant("fixed" as const), seconds: fc.integer({ min: 0, max: 20 }) }),
      fc.record({ kind: fc.constant("multiple" as const), times: fc.constantFrom(0, 0.5, 2) }),
    ),
  }),
  fc.record({
    kind: fc.constant("lengths" as const),
    rounds: range(1, 2),
    lengths: range(1, 3),
    metres: fc.integer({ min: 10, max: 25 }),
    secondsEach: fc.integer({ min: 4, max: 12 }),
    turnSeconds: small(3),
    back: fc.constantFrom("none" as const, "same" as const, "walk" as const),
    walkSeconds: small(9),
    restSeconds: small(20),
  }),
  fc.record({
    kind: fc.constant("counts" as const),
    phrases: range(1, 4),
    counts: fc.integer({ min: 1, max: 8 }),
    beatsPerMinute: fc.integer({ min: 30, max: 240 }),
    sides,
    changeoverSeconds: small(5),
  }),
  fc.record({
    kind: fc.constant("gate" as const),
    rule: fc.oneof(
      fc.record({ kind: fc.constant("total" as const) }),
      fc.record({ kind: fc.constant("row" as const) }),
      fc.record({ kind: fc.constant("of" as const), window: fc.integer({ min: 4, max: 6 }) }),
    ),
    hits: range(1, 4),
    chancePercent: fc.integer({ min: 20, max: 95 }),
    secondsEach: fc.integer({ min: 2, max: 8 }),
    restSeconds: small(4),
    surePercent: fc.integer({ min: 50, max: 95 }),
    capSeconds: fc.integer({ min: 10, max: 90 }),
    sides,
  }),
  fc.record({
    kind: fc.constant("circuit" as const),
    movements: fc.array(
      fc.record({
        name: fc.constant("Hop"),
        seconds: fc.integer({ min: 5, max: 20 }),
        metres: fc.constantFrom(0, 25),
        breather: fc.boolean(),
        ...maybe("back", fc.constant(true as const)),
        ...maybe("actions", small(6)),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    rounds: range(1, 3),
    restSeconds: small(5),
    roundRestSeconds: small(20),
  }),
);

/** The same, with a partner or without one. */
export const anyPlainDose: fc.Arbitrary<PlainDose> = fc
  .tuple(anyDoseAlone, anyPartner)
  .map(([dose, partner]) => JSON.parse(JSON.stringify(partner ? { ...dose, partner } : dose)));

/** Ladders of a few short rungs. */
export const anyLadder: fc.Arbitrary<LadderDose> = fc
  .tuple(
    fc.uniqueArray(
      fc.record({
        id: fc.uuid(),
        label: fc.constantFrom("", "Near", "Far"),
        intensity: fc.constantFrom(20, 30, 45, 60, 75),
        dose: fc.record({
          kind: fc.constant("attempts" as const),
          attempts: range(1, 2),
          secondsEach: fc.integer({ min: 1, max: 9 }),
          sides,
          rest: fc.constant({ kind: "fixed" as const, seconds: 3 }),
        }),
        focus: fc.constant(""),
        restSeconds: small(15),
      }),
      { minLength: 1, maxLength: 3, selector: (r) => r.id },
    ),
    fc.integer({ min: 1, max: 3 }),
  )
  .map(([rungs, least]) => ({ kind: "ladder", rungs, leastRungs: Math.min(least, rungs.length) }));

/** Doses of every kind. */
export const anyDose: fc.Arbitrary<Dose> = fc.oneof(
  { weight: 5, arbitrary: anyPlainDose },
  { weight: 1, arbitrary: anyLadder },
);

const anyItem: fc.Arbitrary<PlanItem> = fc.record({
  id: fc.uuid(),
  drillId: fc.constant(null),
  name: fc.constant("Drill"),
  phase: fc.constantFrom(...PHASES, "technical" as const, "technical" as const),
  priority: fc.constantFrom(...PRIORITIES),
  intensity: fc.constantFrom(20, 35, 50, 60, 75, 90),
  dose: anyDose,
  focus: fc.constant(""),
  place: fc.constant(""),
});

/** Plans of at most `most` drills, with steps that sometimes cannot be climbed. */
export function anyPlan(most: number): fc.Arbitrary<PlanBody> {
  return fc.record({
    items: fc.uniqueArray(anyItem, { maxLength: most, selector: (i) => i.id }),
    wait: fc
      .tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 120 }))
      .map(([leastSeconds, more]) => ({ leastSeconds, longestSeconds: leastSeconds + more })),
    stepPoints: fc.constantFrom(10, 20, 30, 100),
  });
}

/** A plain drill for tests that care about one thing: 60 s, floor 30, ceiling 90, in steps of 30. */
export function drill(name: string, more: Partial<PlanItem> = {}): PlanItem {
  return {
    id: `00000000-0000-4000-8000-${Array.from(name, (c) => c.charCodeAt(0).toString(16))
      .join("")
      .slice(0, 12)
      .padStart(12, "0")}`,
    drillId: null,
    name,
    phase: "raise",
    priority: "useful",
    intensity: 30,
    dose: {
      kind: "time",
      seconds: { floor: 30, ideal: 60, ceiling: 90 },
      step: 30,
      sides: "one",
      changeoverSeconds: 0,
    },
    focus: "",
    place: "",
    ...more,
  };
}

/** A plan of the given drills with no wait and steps of 20 points, unless said otherwise. */
export function planOf(items: PlanItem[], more: Partial<PlanBody> = {}): PlanBody {
  return { items, wait: { leastSeconds: 0, longestSeconds: 600 }, stepPoints: 20, ...more };
}
