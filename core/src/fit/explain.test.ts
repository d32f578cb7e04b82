import { openDay } from "../day/context";
import { drill, planOf } from "../testing/generate";
import { compareFits, givenUp, givenUpLine } from "./explain";
import { fitAt, fitPlan } from "./fit";
import { profileOf } from "./profile";

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
  expect(givenUpLine(fit)).toBe("Gave up 2: Walking lunges 3 → 2 sets, Ice strides left out");
  expect(givenUpOf(plan, 100).map((g) => g.reason)).toEqual([
    "Not enough time for its ideal.",
    "Not enough time: it is an extra, and what matters more comes first.",
  ]);
});

it("says so when nothing was given up, and how much is spare", () => {
  expect(givenUpLine(fitPlan(plan, 240))).toBe("Nothing given up.");
  expect(givenUpLine(fitPlan(plan, 300))).toBe("Nothing given up, 1 min spare.");
  expect(givenUpLine(fitPlan(planOf([]), 300))).toBe("No drills yet.");
});

it("says how much the essentials are short", () => {
  const late = fitPlan(planOf([lunges], { wait: { leastSeconds: 120, longestSeconds: 120 } }), 100);
  expect(givenUpLine(late)).toBe("Essentials are 50 s short. Gave up 1: Walking lunges left out");
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
  expect(givenUpLine(fitPlan(many, 30))).toBe("Gave up 5: a left out, b left out, c left out and 2 more");
});

it("says what more time buys and less time costs", () => {
  expect(compareFits(fitPlan(plan, 90), fitPlan(plan, 240))).toEqual([
    "Walking lunges 2 → 3 sets",
    "Ice strides comes back",
  ]);
  expect(compareFits(fitPlan(plan, 240), fitPlan(plan, 20))).toEqual([
    "Walking lunges left out",
    "Ice strides left out",
  ]);
  expect(compareFits(fitPlan(plan, 90), fitPlan(plan, 90))).toEqual([]);
});
