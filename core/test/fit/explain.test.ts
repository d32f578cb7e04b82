import { compareFits, costOf } from "../../src/fit/explain/compareFits";
import { givenUp, givenUpLine } from "../../src/fit/explain/explain";
import { explanationOf } from "../../src/fit/explain/explanation";
import { fitAt, fitPlan } from "../../src/fit/fit";
import { profileOf } from "../../src/fit/profile";
import { fitContextSchema, openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const lunges = drill("Walking lunges", {
  priority: "essential",
  dose: {
    kind: "reps",
    sets: { floor: 1, ideal: 3, ceiling: 3 },
    reps: { floor: 10, ideal: 10, ceiling: 10 },
    secondsPerRep: 3,
    sides: "one",
    restSeconds: 30,
  },
});
const strides = drill("Ice strides", { priority: "extra" });
const plan = planOf([lunges, strides]);
const givenUpOf = (of: typeof plan, seconds: number) => {
  const profile = profileOf(of, openDay(), 3600);
  return givenUp(profile, fitAt(profile, seconds));
};

it("names what gave way, how, and the rule that bound", () => {
  const fit = fitPlan(plan, 100);
  expect(givenUpLine(fit)).toBe("2 cut to fit: Walking lunges 2 sets (wanted 3), Ice strides left out");
  expect(givenUpOf(plan, 100).map((g) => g.reason)).toEqual([
    "Not enough time for its target.",
    "Not enough time: it is an extra, and what matters more comes first.",
  ]);
});

it("is a finding of its drill, which mattering more mends until it is essential", () => {
  const [first, second] = givenUpOf(plan, 100);
  expect(first).toMatchObject({
    code: "given-up",
    where: ["plan", "items", 0],
    itemId: lunges.id,
    mends: [],
  });
  expect(first?.words).toBe("Walking lunges: 2 sets (wanted 3). Not enough time for its target.");
  expect(second).toMatchObject({
    where: ["plan", "items", 1],
    mends: [
      {
        words: "Make it useful",
        edits: [{ kind: "change", itemId: second?.itemId, change: { priority: "useful" } }],
      },
    ],
  });
});

it("says so when nothing was given up, and how much is spare", () => {
  expect(givenUpLine(fitPlan(plan, 240))).toBe("Everything fits.");
  expect(givenUpLine(fitPlan(plan, 300))).toBe("Everything fits, 1 min to spare.");
  expect(givenUpLine(fitPlan(planOf([]), 300))).toBe("No drills yet.");
});

it("says how much the essentials are short", () => {
  const late = fitPlan(planOf([lunges], { wait: { leastSeconds: 120, longestSeconds: 120 } }), 100);
  expect(givenUpLine(late)).toBe("Essentials are 50 s short. 1 cut to fit: Walking lunges left out");
});

it("says when a step is the reason and more time is no help", () => {
  const steep = planOf([
    drill("Waltz", { phase: "technical", intensity: 30 }),
    drill("Axel", { phase: "technical", intensity: 90 }),
  ]);
  expect(givenUpOf(steep, 900)).toEqual([
    expect.objectContaining({
      change: "left out",
      reason: expect.stringContaining("step up"),
    }),
  ]);
  const essential = planOf(steep.items.map((i) => ({ ...i, priority: "essential" as const })));
  expect(givenUpLine(fitPlan(essential, 900))).toContain("steeper step apart");
});

it("names three and counts the rest", () => {
  const many = planOf(["a", "b", "c", "d", "e"].map((n) => drill(n)));
  expect(givenUpLine(fitPlan(many, 30))).toBe("5 cut to fit: a left out, b left out, c left out and 2 more");
});

it("says what more time buys and less time costs", () => {
  expect(compareFits(fitPlan(plan, 90), fitPlan(plan, 240))).toEqual([
    "Walking lunges 3 sets (now 2)",
    "Ice strides comes back",
  ]);
  expect(compareFits(fitPlan(plan, 240), fitPlan(plan, 20))).toEqual([
    "Walking lunges left out",
    "Ice strides left out",
  ]);
  expect(compareFits(fitPlan(plan, 90), fitPlan(plan, 90))).toEqual([]);
});

it("one second short is time, and says how much; a place is the reason only when it lacks less than the time", () => {
  const essential = drill("Waltz", { phase: "technical", priority: "essential", place: "Rink" });
  const rink = (...windows: [number, number][]) =>
    fitContextSchema.parse({
      places: [
        { name: "Rink", windows: windows.map(([fromSeconds, toSeconds]) => ({ fromSeconds, toSeconds })) },
      ],
    });
  // A floor of 30 s: 29 s are one too few, though the rink opens in time for no more than that.
  const short = explanationOf(planOf([essential]), rink([-40, 0]), 29);
  expect(short.culprit).toBeNull();
  expect(givenUpLine(fitPlan(planOf([essential]), 29))).toBe(
    "Essentials are 1 s short. 1 cut to fit: Waltz left out",
  );
  // The rink was open an hour ago: 3,540 s more, or 10 s of opening earlier.
  const early = explanationOf(planOf([essential]), rink([-3600, -3000], [-20, 0]), 60);
  expect(early.culprit?.line).toBe("Rink is the reason: it would have to open 0:10 earlier.");
  expect(early.needs.essentials).toBe(3030);
});

it("a wait that is too long is in the word for the whole", () => {
  const late = fitPlan(planOf([drill("Laps")], { wait: { leastSeconds: 100, longestSeconds: 100 } }), 900, {
    ...openDay(),
    points: [{ name: "Call", fromSeconds: -300, toSeconds: 0, place: null, closesPractice: true }],
  });
  expect(late).toMatchObject({ state: "tight", waitSeconds: 300, waitOverSeconds: 200 });
});

it("what less time costs is what is lost; what comes in for it is said as that", () => {
  const long = drill("Long", {
    dose: {
      kind: "time",
      seconds: { floor: 120, ideal: 120, ceiling: 120 },
      step: 30,
      sides: "one",
      changeoverSeconds: 0,
    },
  });
  const short = drill("Short", {
    priority: "extra",
    dose: {
      kind: "time",
      seconds: { floor: 60, ideal: 60, ceiling: 60 },
      step: 30,
      sides: "one",
      changeoverSeconds: 0,
    },
  });
  const two = planOf([long, short]);
  expect(costOf(fitPlan(two, 150), fitPlan(two, 90))).toEqual(["Long left out", "for it Short comes back"]);
});

it("names what is left out for a step as that, and only where there would be time for it", () => {
  const steep = planOf([
    drill("Waltz", { phase: "technical", intensity: 30 }),
    drill("Axel", { phase: "technical", intensity: 90 }),
  ]);
  expect(givenUpLine(fitPlan(steep, 900), 20)).toBe("1 cut to fit: Waltz left out, the step is too steep");
  expect(givenUpLine(fitPlan(steep, 900))).toBe("1 cut to fit: Waltz left out");
  expect(givenUpLine(fitPlan(steep, 60), 20)).not.toContain("too steep");
});
