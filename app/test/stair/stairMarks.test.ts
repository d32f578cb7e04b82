import {
  type FitContext,
  fitContextSchema,
  fitPlan,
  type NamedCulprit,
  type PlanBody,
  type PlanItem,
} from "@tonodrome/core";
import { stairMarks } from "~/features/stair/stairMarks";
import { twoMinutePlan } from "~/test/made/makeStart";

const [laps] = twoMinutePlan.items as [PlanItem];
const at = (n: number, place: string, more: Partial<PlanItem> = {}): PlanItem => ({
  ...laps,
  id: `11111111-1111-4111-8111-11111111111${n}`,
  place,
  ...more,
});

const context: FitContext = fitContextSchema.parse({
  places: [{ name: "Hall" }, { name: "Ice", windows: [{ fromSeconds: -900, toSeconds: -600 }] }],
  travel: [{ from: "Hall", to: "Ice", seconds: 60 }],
  points: [{ name: "Call", fromSeconds: -500, toSeconds: -440, closesPractice: true }],
});

const marksOf = (items: PlanItem[], available = 1800) => {
  const plan: PlanBody = { ...twoMinutePlan, items, wait: { leastSeconds: 0, longestSeconds: 900 } };
  return stairMarks(fitPlan(plan, available, context), context);
};

it("names each change of place with its windows, the way there, and marks what keeps to windows", () => {
  const { above, windowed, below } = marksOf([at(1, "hall"), at(2, "Ice"), at(3, "")]);
  expect(above.get(at(1, "").id)).toEqual([{ kind: "place", name: "Hall", windows: "" }]);
  expect(above.get(at(2, "").id)).toEqual([
    { kind: "idle", atSeconds: -800, seconds: 60, words: "1:00 to Ice" },
    { kind: "place", name: "Ice", windows: "−15:00 to −10:00" },
  ]);
  expect(windowed.get(at(1, "").id)).toBe(false);
  expect(windowed.get(at(2, "").id)).toBe(true);
  expect(windowed.has(at(3, "").id)).toBe(false);
  expect(below).toEqual([{ kind: "point", name: "Call", atSeconds: -500, longSeconds: 60, closes: true }]);
});

it("draws a fixed point once, as a line of its own, and none from before the time available", () => {
  const quiet = at(4, "", { calm: "quiet" });
  const { above, below } = marksOf([at(2, "Ice"), quiet]);
  expect(above.get(quiet.id)?.filter((m) => m.kind === "point")).toHaveLength(1);
  expect(below).toEqual([]);
  const late = marksOf([quiet], 300);
  expect([...late.above.values()].flat().concat(late.below)).toEqual([]);
});

it("names the gap that a fixed point leaves, and none that is too short to matter", () => {
  const day = fitContextSchema.parse({ points: [{ name: "Call", fromSeconds: -500, toSeconds: -440 }] });
  const gapBefore = (seconds: number) => {
    const range = { floor: seconds, ideal: seconds, ceiling: seconds };
    const long = at(4, "", {
      dose: { kind: "time", seconds: range, step: 20, sides: "one", changeoverSeconds: 0 },
    });
    const plan: PlanBody = {
      ...twoMinutePlan,
      items: [at(3, ""), long],
      wait: { leastSeconds: 0, longestSeconds: 900 },
    };
    return stairMarks(fitPlan(plan, 1800, day), day)
      .above.get(long.id)
      ?.find((m) => m.kind === "idle");
  };
  // From the call, which the first drill comes before, to the second: a minute of call and forty seconds besides.
  expect(gapBefore(400)).toEqual({ kind: "idle", atSeconds: -500, seconds: 40, words: "around Call" });
  expect(gapBefore(420)).toBeUndefined();
});

describe("what keeps the essentials from fitting", () => {
  const long = {
    kind: "time" as const,
    seconds: { floor: 600, ideal: 600, ceiling: 600 },
    step: 60,
    sides: "one" as const,
    changeoverSeconds: 0,
  };
  const needed = (n: number, place: string) => at(n, place, { priority: "essential", dose: long });
  const conflictsOf = (items: PlanItem[], culprit: NamedCulprit) => {
    const plan: PlanBody = { ...twoMinutePlan, items, wait: { leastSeconds: 0, longestSeconds: 900 } };
    const { above, below } = stairMarks(fitPlan(plan, 1800, context), context, culprit);
    return { above, below, all: [...above.values(), below].flat().filter((m) => m.kind === "conflict") };
  };

  it("stands at its place, where something is done there", () => {
    const { above, all } = conflictsOf([at(2, "Ice"), needed(3, "Ice")], {
      rule: { kind: "window", place: 1 },
      line: "Ice is the reason.",
    });
    expect(above.get(at(2, "").id)?.map((m) => m.kind)).toEqual(["place", "conflict"]);
    expect(all).toEqual([{ kind: "conflict", words: "Ice is the reason." }]);
  });

  it("stands at the first of them left out, where nothing is done at that place or it is no place", () => {
    for (const rule of [{ kind: "window", place: 1 }, { kind: "step" }, null] as const) {
      const { above, all } = conflictsOf([at(1, "Hall"), needed(3, "Ice")], { rule, line: "The reason." });
      expect(above.get(at(3, "").id)).toEqual(all);
      expect(all).toHaveLength(1);
    }
  });

  it("stands at its fixed point", () => {
    const { below, all } = conflictsOf([at(1, "Hall")], {
      rule: { kind: "point", point: 0 },
      line: "Call is the reason.",
    });
    expect(below.map((m) => m.kind)).toEqual(["point", "conflict", "place"]);
    expect(all).toHaveLength(1);
  });
});

it("has nothing to say of an empty warm-up but what is fixed", () => {
  const { above, below } = marksOf([]);
  expect(above.size).toBe(0);
  expect(below.map((m) => m.kind)).toEqual(["point", "place"]);
});

it("draws a window as soon as there is one, before anything is done in it", () => {
  const unused = { kind: "place", name: "Ice", windows: "−15:00 to −10:00, nothing there yet" };
  expect(marksOf([at(1, "Hall")]).below).toContainEqual(unused);
  expect(marksOf([at(1, "Hall"), at(2, "Ice")]).below).not.toContainEqual(unused);
  // One that is over before there is any time is nobody's business.
  expect(marksOf([at(1, "Hall")], 500).below).not.toContainEqual(unused);
});
