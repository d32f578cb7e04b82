import fc from "fast-check";
import { constraintsOf, type DayConstraint, type DayFrame } from "../../src/day/constraint";
import { contradictionOf } from "../../src/day/contradiction";
import { dayPlan } from "../../src/day/day";
import { contradictionWords } from "../../src/day/dayWords";
import { type DayStep, dayStepSchema } from "../../src/day/step";
import { timesOf } from "../../src/day/times";
import { cases, casesOf } from "../made/cases";

const step = (id: string, minutes: number, more: Partial<DayStep> = {}): DayStep =>
  dayStepSchema.parse({ id, name: id, kind: "other", minutes: { usual: minutes }, ...more });

const frame = (steps: DayStep[], more: Partial<DayFrame> = {}): DayFrame => ({
  startsAt: "2026-12-05T13:20:00.000Z",
  zone: "Europe/Vienna",
  warmUpSeconds: 1800,
  steps,
  ...more,
});

/** The steps by their names, each with when it begins in minutes from the start. */
function begins(day: DayFrame, version: "usual" | "bad" = "usual"): Record<string, number> {
  const plan = dayPlan(day, version);
  if (!plan.holds) throw new Error("It does not hold.");
  return Object.fromEntries(plan.stands.map((s) => [s.step.id, s.beginSeconds / 60]));
}

describe("against every way there is", () => {
  /** Differences between four moments, one of them the start, in steps of one. */
  const MANY = 4;
  const MOST = 3;
  const LONGEST = MOST * (MANY - 1);
  const constraints = fc.array(
    fc
      .record({
        earlier: fc.nat(MANY - 1),
        later: fc.nat(MANY - 1),
        leastSeconds: fc.integer({ min: -MOST, max: MOST }),
      })
      .filter((c) => c.earlier !== c.later)
      .map((c): DayConstraint => ({ ...c, why: { kind: "order", step: "any", next: "other" } })),
    { maxLength: 7 },
  );

  /** Every way to lay the moments on a line around the start, each where all holds. */
  function* ways(list: readonly DayConstraint[], width: number): Generator<number[]> {
    const at = [0];
    function* place(): Generator<number[]> {
      if (at.length === MANY) {
        yield [...at];
        return;
      }
      for (let x = -width; x <= width; x++) {
        at.push(x);
        const holds = list.every(({ earlier, later, leastSeconds }) => {
          const [a, b] = [at[earlier], at[later]];
          return a === undefined || b === undefined || b - a >= leastSeconds;
        });
        if (holds) yield* place();
        at.pop();
      }
    }
    yield* place();
  }

  /** Whether they hold together at all: no way apart is longer than all differences together. */
  const holds = (list: readonly DayConstraint[]) => !ways(list, LONGEST).next().done;

  it("each step may begin from its earliest to its latest moment, and at no other", () => {
    fc.assert(
      fc.property(constraints, (list) => {
        const times = timesOf(list, MANY, 0);
        if (!holds(list)) {
          expect(times).toBeNull();
          return;
        }
        // No chain is longer than this: what lies beyond is bounded by nothing but how far is looked.
        for (let i = 1; i < MANY; i++) {
          const seen = new Set<number>();
          for (const way of ways(list, 2 * LONGEST + 1)) seen.add(way[i] as number);
          const [low, high] = [Math.min(...seen), Math.max(...seen)];
          expect((times ?? [])[i]).toMatchObject({
            earliest: low < -LONGEST ? null : low,
            latest: high > LONGEST ? null : high,
          });
        }
      }),
      cases(60),
    );
  });

  it("what cannot hold together is named, nothing of it is there in vain, and nothing smaller is at fault", () => {
    let contradictions = 0;
    fc.assert(
      fc.property(constraints, (list) => {
        const found = contradictionOf(list, MANY);
        expect(found === null).toBe(holds(list));
        if (!found) return;
        contradictions++;
        expect(holds(found.constraints)).toBe(false);
        for (const one of found.constraints)
          expect(holds(found.constraints.filter((c) => c !== one))).toBe(true);
        // By so much they miss it: each alone giving way by that is enough.
        for (const one of found.constraints) {
          const eased = (by: number) =>
            found.constraints.map((c) => (c === one ? { ...c, leastSeconds: c.leastSeconds - by } : c));
          expect([holds(eased(found.missingSeconds)), holds(eased(found.missingSeconds - 1))]).toEqual([
            true,
            false,
          ]);
        }
        for (let mask = 0; mask < 2 ** list.length; mask++) {
          const some = list.filter((_, i) => mask & (1 << i));
          if (some.length < found.constraints.length) expect(holds(some)).toBe(true);
        }
      }),
      cases(150),
    );
    expect(contradictions).toBeGreaterThan(casesOf(150) / 8);
  });
});

describe("a day", () => {
  const steps = [
    step("wake", 30),
    step("travel", 25, {
      minutes: { usual: 25, bad: 40 },
      rules: [{ kind: "before", edge: "end", leastMinutes: 90, ofEdge: "begin", of: "start" }],
    }),
    step("settle", 10),
    step("warm-up", 0, { kind: "warm-up" }),
    step("start", 4, { kind: "start" }),
    step("cool-down", 10),
  ];

  it("is counted back from the start, each step as late as the next allows, and after it as soon as may be", () => {
    expect(begins(frame(steps))).toEqual({
      wake: -145,
      travel: -115,
      settle: -40,
      "warm-up": -30,
      start: 0,
      "cool-down": 4,
    });
    expect(begins(frame(steps), "bad")).toMatchObject({ wake: -160, travel: -130, settle: -40 });
  });

  it("begins earlier as the warm-up does, and its tight chain is what cannot be later without all else", () => {
    expect(begins(frame(steps, { warmUpSeconds: 3600 }))).toMatchObject({ settle: -70, travel: -115 });
    const plan = dayPlan(frame(steps), "usual");
    const tight = plan.holds ? plan.stands.filter((s) => s.isTight).map((s) => s.step.id) : [];
    expect(tight).toEqual(["wake", "travel", "start"]);
    // What only the clock keeps, and what goes on beside, is no part of it.
    const evening = step("pack", 20, { rules: [{ kind: "clock", edge: "end", day: -1, notAfter: "21:00" }] });
    const drink = step("drink", 30, {
      beside: true,
      rules: [{ kind: "before", edge: "begin", leastMinutes: 720, ofEdge: "begin", of: "start" }],
    });
    const whole = dayPlan(frame([drink, evening, ...steps]), "usual");
    expect(whole.holds && whole.stands.filter((s) => s.isTight).map((s) => s.step.id)).toEqual(tight);
  });

  it("lets what goes on beside wait for nobody, and keeps what is straight before where it belongs", () => {
    const beside = step("heat", 30, { beside: true, rules: [{ kind: "straight-before", of: "warm-up" }] });
    const day = frame([...steps.slice(0, 2), beside, ...steps.slice(2)]);
    expect(begins(day)).toMatchObject({ heat: -60, settle: -40, travel: -115 });
  });

  it("keeps to the clock at the venue, and says how much room that leaves", () => {
    const night = step("night", 480, {
      rules: [{ kind: "clock", edge: "begin", day: -1, notBefore: "22:00", notAfter: "23:30" }],
    });
    const plan = dayPlan(frame([night, ...steps]), "usual");
    // 14:20 at the venue; the night may begin from 22:00 to 23:30 the day before.
    const stand = plan.holds ? plan.stands[0] : undefined;
    expect([(stand?.beginSeconds ?? 0) / 60, (stand?.slackSeconds ?? 0) / 60]).toEqual([
      -(14 * 60 + 20) - 30,
      90,
    ]);
  });

  it.each([
    ["Europe/Vienna", "2026-03-29T10:00:00.000Z", -13 * 60],
    ["Europe/Vienna", "2026-10-25T11:00:00.000Z", -15 * 60],
    ["America/New_York", "2026-03-08T16:00:00.000Z", -13 * 60],
    ["America/New_York", "2026-11-01T17:00:00.000Z", -15 * 60],
    ["Australia/Lord_Howe", "2026-10-04T01:00:00.000Z", -13.5 * 60],
    ["Australia/Lord_Howe", "2026-04-05T01:30:00.000Z", -14.5 * 60],
    ["Asia/Kolkata", "2026-10-25T06:30:00.000Z", -14 * 60],
    ["Asia/Kolkata", "2026-03-29T06:30:00.000Z", -14 * 60],
  ])("counts the hours of the night as they pass in %s before %s", (zone, startsAt, minutes) => {
    // Noon at the venue; from 22:00 of the day before the night is as long as its clocks make it.
    const to = step("pack", 0, { rules: [{ kind: "clock", edge: "begin", day: -1, notAfter: "22:00" }] });
    const start = step("start", 4, { kind: "start" });
    expect(begins(frame([to, start], { zone, startsAt }))).toMatchObject({ pack: minutes });
  });

  it("goes over midnight to the day before the start's own, as the venue has it", () => {
    const to = step("pack", 0, { rules: [{ kind: "clock", edge: "begin", day: -1, notAfter: "23:00" }] });
    const start = step("start", 4, { kind: "start" });
    const startsAt = "2026-12-05T23:30:00.000Z";
    // 00:30 on the sixth in Vienna, 23:30 on the fifth in UTC.
    expect(begins(frame([to, start], { startsAt })).pack).toBe(-90);
    expect(begins(frame([to, start], { startsAt, zone: "UTC" })).pack).toBe(-24.5 * 60);
  });

  it("names what cannot hold together, and by how much, and nothing else", () => {
    const late = step("sleep in", 30, {
      id: "sleep-in",
      rules: [{ kind: "clock", edge: "begin", day: 0, notBefore: "12:30" }],
    });
    const day = frame([step("pack", 10), late, ...steps.slice(1)]);
    const plan = dayPlan(day, "usual");
    expect(plan.holds).toBe(false);
    const words = plan.holds ? "" : contradictionWords(day, plan.contradiction, "usual");
    expect(words).toBe(
      "These cannot hold together, by 35 min: “sleep in” takes 30 min and comes before “travel”; “travel” ends at least 90 min before “start” begins; “sleep in” begins not before 12:30.",
    );
    // Each of them alone may give way.
    const easier = { ...day, startsAt: "2026-12-05T13:55:00.000Z" };
    expect(dayPlan(easier, "usual").holds).toBe(true);
    expect(dayPlan({ ...day, steps: day.steps.filter((s) => s !== late) }, "usual").holds).toBe(true);
  });

  it("finds what cannot hold together also where the start has no part in it", () => {
    const why = { kind: "order", step: "any", next: "other" } as const;
    const round = [
      { earlier: 1, later: 2, leastSeconds: 5, why },
      { earlier: 2, later: 1, leastSeconds: -4, why },
    ];
    expect(timesOf(round, 3, 0)).toBeNull();
    expect(timesOf(round.slice(1), 3, 0)).not.toBeNull();
  });

  it("leaves the warm-up where it is fitted, and what is bounded both ways so much room and no more", () => {
    const drink = step("drink", 5, {
      beside: true,
      rules: [
        { kind: "before", edge: "end", leastMinutes: 60, mostMinutes: 100, ofEdge: "begin", of: "start" },
      ],
    });
    const shower = step("shower", 10, {
      rules: [{ kind: "clock", edge: "end", day: 0, notAfter: "15:00" }],
    });
    const plan = dayPlan(frame([drink, ...steps, shower]), "usual");
    const stands = plan.holds ? plan.stands : [];
    const of = (id: string) => stands.find((s) => s.step.id === id);
    expect([of("warm-up")?.slackSeconds, (of("drink")?.slackSeconds ?? 0) / 60]).toEqual([0, 40]);
    // After the start, as soon as may be: not as late as three o'clock allows.
    expect([(of("shower")?.beginSeconds ?? 0) / 60, (of("shower")?.slackSeconds ?? 0) / 60]).toEqual([
      14, 16,
    ]);
  });

  it("moves as a whole when the start moves, where the clock has no say", () => {
    fc.assert(
      fc.property(fc.integer({ min: -600, max: 600 }), (minutes) => {
        const startsAt = new Date(Date.parse("2026-12-05T13:20:00.000Z") + minutes * 60_000).toISOString();
        expect(begins(frame(steps, { startsAt }))).toEqual(begins(frame(steps)));
      }),
    );
  });

  it("has a difference for every neighbour in line and every rule, each by its name", () => {
    const reasons = constraintsOf(frame(steps), "usual").map((c) => c.why.kind);
    expect(reasons.filter((r) => r === "order")).toHaveLength(steps.length - 1);
    expect(reasons.filter((r) => r === "rule")).toHaveLength(1);
    expect(reasons.filter((r) => r === "fitted")).toHaveLength(2);
  });
});
