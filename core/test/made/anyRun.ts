import fc from "fast-check";
import type { GateRule } from "../../src/dose/kinds/gateDistribution";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import {
  type RefitStep,
  type RunDrill,
  type RunPlan,
  runPlanSchema,
  stepKey,
} from "../../src/run/steps/runPlan";

const START = Date.parse("2026-06-01T12:00:00.000Z");
const iso = (second: number) => new Date(START - 3_600_000 + second * 1000).toISOString();
const idOf = (block: number, n: number) => `00000000-0000-4000-800${block}-${String(n).padStart(12, "0")}`;

const anyRule: fc.Arbitrary<GateRule> = fc.oneof(
  fc.constant({ kind: "total" as const }),
  fc.constant({ kind: "row" as const }),
  fc.integer({ min: 1, max: 3 }).map((window) => ({ kind: "of" as const, window })),
);

/** A step of few kinds, whose key is one of a handful: plans, re-fits and drills put in are to meet. */
const anyStep = fc
  .record({
    n: fc.integer({ min: 0, max: 7 }),
    seconds: fc.integer({ min: 1, max: 60 }),
    what: fc.constantFrom("plain", "plain", "plain", "gate", "gate", "wait", "wait-until"),
    rule: anyRule,
    hits: fc.integer({ min: 1, max: 2 }),
    sides: fc.integer({ min: 1, max: 2 }),
  })
  .map(({ n, seconds, what, rule, hits, sides }): RunDrill => {
    const base = { itemId: idOf(0, n), name: `Step ${n}`, phase: "raise" as const, intensity: 20 };
    const more = { focus: "", place: "", words: "", plannedSeconds: seconds };
    if (what === "gate") return { ...base, ...more, gate: { rule, hits, sides, capSeconds: 60 } };
    if (what === "wait") return { ...base, ...more, wait: { leastSeconds: seconds } };
    if (what === "wait-until")
      return { ...base, ...more, wait: { leastSeconds: 1, until: iso(300 + seconds) } };
    return { ...base, ...more };
  });

const anySteps = (most: number) =>
  fc.uniqueArray(anyStep, { minLength: 1, maxLength: most, selector: stepKey });

const KINDS = [
  ...["done", "done", "done", "skip", "extend", "hold", "release", "back", "back", "jump", "jump"],
  ...[
    "hit",
    "hit",
    "miss",
    "undo",
    "undo",
    "insert",
    "refit",
    "refit",
    "start-moved",
    "clock",
    "rating",
    "pulse",
    "take",
  ],
] as const;

/** A run and presses of every kind, many at the same second, many that make no sense where they stand. */
export const anyRun: fc.Arbitrary<{ plan: RunPlan; events: RunEvent[] }> = fc
  .record({
    drills: anySteps(6),
    begins: fc.integer({ min: 0, max: 3 }),
    ends: fc.option(fc.integer({ min: 20, max: 70 }), { freq: 2, nil: null }),
    presses: fc.array(
      fc.record({
        kind: fc.constantFrom(...KINDS),
        second: fc.integer({ min: 0, max: 60 }),
        which: fc.nat(50),
        named: fc.boolean(),
        step: anyStep,
        steps: fc.array(fc.tuple(anyStep, fc.boolean(), fc.nat(30)), { maxLength: 5 }),
      }),
      { maxLength: 24 },
    ),
  })
  .map(({ drills, begins, ends, presses }) => {
    const plan = runPlanSchema.parse({ drills, waitSeconds: 120, startsAt: new Date(START).toISOString() });
    const id = (n: number) => idOf(1, n);
    const events: object[] = [{ id: id(900), at: iso(begins), kind: "begin" }];
    presses.forEach(({ kind, second, which, named, step, steps }, n) => {
      const key = stepKey(drills[which % drills.length] as RunDrill);
      const refit: RefitStep[] = steps.map(([drill, isSame, from]) =>
        isSame ? { same: stepKey(drill), ...(from % 3 === 0 ? { from: id(from) } : {}) } : drill,
      );
      const more: Record<string, object> = {
        extend: { seconds: 30 },
        jump: { to: key },
        undo: { undoes: id(which % Math.max(1, n + 2)) },
        insert: { drill: step },
        refit: { drills: refit, waitSeconds: which, line: "", ...(named ? { until: iso(200 + which) } : {}) },
        "start-moved": { startsAt: iso(3600 + which) },
        clock: { aheadSeconds: which },
        rating: { ready: (which % 5) + 1, first: `f${which}`, note: `n${which}` },
        take: { who: id(which) },
        pulse: { everySeconds: 5, rates: [120] },
      };
      const of = named && /^(done|skip|extend|back|hit|miss)$/.test(kind) ? { of: key } : {};
      events.push({ id: id(n), at: iso(second), kind, ...of, ...more[kind] });
    });
    if (ends !== null) events.push({ id: id(901), at: iso(ends), kind: "end" });
    return { plan, events: events.map((e) => runEventSchema.parse(e)) };
  });
