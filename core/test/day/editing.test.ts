import fc from "fast-check";
import { constraintsOf } from "../../src/day/constraint";
import { contradictionOf } from "../../src/day/contradiction";
import { dayPlan } from "../../src/day/day";
import { dayStepsSchema } from "../../src/day/daySteps";
import { withMoved, withoutStep, withStep } from "../../src/day/editing";
import { DAY_KINDS } from "../../src/day/kinds";
import type { DayStep } from "../../src/day/step";
import { usualDay } from "../../src/day/usualDay";
import { waysOut } from "../../src/day/waysOut";
import { plainEvent } from "../../src/event/eventType";

const frame = {
  startsAt: "2026-12-05T13:20:00.000Z",
  zone: "Europe/Vienna",
  warmUpSeconds: 2400,
};
const event = { ...plainEvent("Short programme"), kit: ["Skates", "Dress"] };
const usual = usualDay({ ...frame, event, travel: { usual: 25, bad: 40 }, equipment: ["dress", "Own band"] });
const named = (steps: readonly DayStep[]) => steps.map((s) => s.id);

it("the bag's list has the event's kit, the athlete's own and what is always in it, each once", () => {
  const listOf = (id: string) => usual.find((s) => s.id === id)?.list;
  expect(listOf("pack")).toEqual([
    "Skates",
    "Dress",
    "Own band",
    "Drink",
    "Food",
    "Warm clothes",
    "Dry clothes",
  ]);
  expect(listOf("meal")).toEqual([]);
});

it("a step more stands after the one that is chosen, or where its kind belongs, never between warm-up and start", () => {
  const at = (kind: Exclude<DayStep["kind"], "start">, chosen: string | null) => {
    const { steps, id } = withStep(usual, kind, chosen);
    const ids = named(steps);
    return [ids[ids.indexOf(id) - 1], id, ids[ids.indexOf(id) + 1]];
  };
  expect(at("eat", "travel")).toEqual(["travel", "eat", "settle"]);
  expect(at("inspection", null)[2]).toBe("warm-up");
  expect(at("change", "warm-up")[2]).toBe("warm-up");
  expect(at("ease-in", null).slice(0, 2)).toEqual(["start", "ease-in"]);
  expect(at("pack", null)[1]).toBe("pack-2");
});

it("whatever is added, moved and taken out, it stays a day that can be kept", () => {
  const deed = fc.oneof(
    fc.record({ what: fc.constant("add" as const), kind: fc.constantFrom(...DAY_KINDS), at: fc.nat(20) }),
    fc.record({
      what: fc.constant("move" as const),
      at: fc.nat(20),
      by: fc.constantFrom(-1 as const, 1 as const),
    }),
    fc.record({ what: fc.constant("out" as const), at: fc.nat(20) }),
  );
  fc.assert(
    fc.property(fc.array(deed, { maxLength: 30 }), (deeds) => {
      let steps: readonly DayStep[] = usual;
      for (const d of deeds) {
        const step = steps[d.at];
        if (d.what === "add") {
          if (d.kind !== "start" && d.kind !== "warm-up")
            ({ steps } = withStep(steps, d.kind, step?.id ?? null));
        } else if (step && d.what === "move") {
          const moved = withMoved(steps, step.id, d.by);
          expect([...named(moved)].sort()).toEqual([...named(steps)].sort());
          // There and back again is where it was, among those in line.
          const inLine = (all: readonly DayStep[]) => named(all.filter((s) => !s.beside));
          if (moved !== steps && !step.beside)
            expect(inLine(withMoved(moved, step.id, d.by === 1 ? -1 : 1))).toEqual(inLine(steps));
          steps = moved;
        } else if (step && step.kind !== "start") steps = withoutStep(steps, step.id);
      }
      expect(dayStepsSchema.safeParse(steps).error).toBeUndefined();
    }),
  );
});

it("a step moves past what goes on beside to the next in line", () => {
  const inLine = usual.filter((s) => !s.beside).map((s) => s.id);
  const moved = withMoved(usual, "travel", -1)
    .filter((s) => !s.beside)
    .map((s) => s.id);
  const i = inLine.indexOf("travel");
  expect(moved).toEqual(inLine.with(i - 1, "travel").with(i, inLine[i - 1] as string));
});

it("a day with two starts, or two warm-ups, is none", () => {
  for (const kind of ["start", "warm-up"]) {
    const one = usual.find((s) => s.kind === kind) as DayStep;
    const [issue] = dayStepsSchema.safeParse([...usual, { ...one, id: "again" }]).error?.issues ?? [];
    expect(issue?.message).toBe(`A day has one step of the kind ${kind}, not 2.`);
  }
});

it("the warm-up and the start change no places with each other", () => {
  expect(withMoved(usual, "warm-up", 1)).toBe(usual);
  expect(withMoved(usual, "start", -1)).toBe(usual);
});

describe("ways out of a contradiction", () => {
  const early = usual.map((s) =>
    s.id === "sleep"
      ? {
          ...s,
          rules: [{ kind: "clock" as const, edge: "begin" as const, day: 0, notBefore: "05:00" }, ...s.rules],
        }
      : s,
  );

  it("each undoes it: what could not hold together is no reason any more", () => {
    const day = { ...frame, steps: early };
    for (const version of ["usual", "bad"] as const) {
      const plan = dayPlan(day, version);
      if (plan.holds) throw new Error("It holds.");
      const ways = waysOut(day, plan.contradiction, version);
      expect(ways.length).toBeGreaterThanOrEqual(2);
      for (const { words, steps } of ways) {
        expect(dayStepsSchema.safeParse(steps).error).toBeUndefined();
        const after = contradictionOf(constraintsOf({ ...day, steps }, version), steps.length);
        const key = (found: typeof after) =>
          JSON.stringify(found && [found.missingSeconds, found.constraints.map((c) => c.why)]);
        expect([words, key(after)]).not.toEqual([words, key(plan.contradiction)]);
      }
    }
  });

  it("a day with one contradiction holds with any of them", () => {
    const [wake, travel, start] = ["wake", "travel", "start"].map(
      (id) => usual.find((s) => s.id === id) as DayStep,
    );
    const steps = [
      {
        ...(wake as DayStep),
        rules: [{ kind: "clock" as const, edge: "begin" as const, day: 0, notBefore: "14:00" }],
      },
      { ...(travel as DayStep), rules: [] },
      start as DayStep,
    ];
    const day = { ...frame, steps };
    const plan = dayPlan(day, "usual");
    if (plan.holds) throw new Error("It holds.");
    // 30 min and 25 min between 14:00 and 14:20.
    expect(plan.contradiction.missingSeconds).toBe(35 * 60);
    const ways = waysOut(day, plan.contradiction, "usual");
    expect(ways.map((w) => [w.words, w.missingSeconds / 60])).toEqual([
      ["“Wake up, wash” beside the others", 0],
      ["Without: “Wake up, wash” begins not before 14:00", 0],
      ["“On the way” beside the others", 10],
    ]);
    for (const { steps, missingSeconds } of ways)
      expect(dayPlan({ ...day, steps }, "usual").holds).toBe(missingSeconds === 0);
    const late = { ...day, startsAt: "2026-12-05T13:45:00.000Z" };
    const short = dayPlan(late, "usual");
    if (short.holds) throw new Error("It holds.");
    const shorter = waysOut(late, short.contradiction, "usual").find((w) => w.words.includes("shorter"));
    expect(shorter?.words).toBe("“Wake up, wash” 10 min shorter");
    expect(shorter?.steps[0]?.minutes.usual).toBe(20);
    expect(dayPlan({ ...late, steps: shorter?.steps ?? [] }, "usual").holds).toBe(true);
  });
});
