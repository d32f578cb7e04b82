import fc from "fast-check";
import { levelsOf } from "../../src/dose/levelsOf";
import { type Fit, fitAt, fitPlan } from "../../src/fit/fit";
import { profileOf } from "../../src/fit/profile";
import type { PlanBody } from "../../src/plan/plan";
import { openDay } from "../../src/venue/context";
import { cases } from "../made/cases";
import { anyPlan, drill, planOf } from "../made/generate";
import { rankOf as rankWith } from "../proof/bruteFit";
import { checkSchedule, waitsTooLong } from "../proof/checkSchedule";
import { compare } from "../proof/compareRanks";

const levelsIn = (fit: Fit) => fit.placements.map((p) => p.levelIndex);
const time = fc.integer({ min: 0, max: 600 });

const doneIn = (fit: Fit) =>
  fit.placements
    .filter((p) => p.level)
    .map((p) => ({
      id: p.item.id,
      levelIndex: p.levelIndex,
      beginSeconds: p.beginSeconds,
      spanSeconds: p.spanSeconds,
    }));
const rankOf = (plan: PlanBody, fit: Fit) => rankWith(plan, levelsIn(fit), !waitsTooLong(plan, doneIn(fit)));

describe("the fit keeps its promises", () => {
  it("is never over time, keeps the order, the step rule and whole levels", () => {
    fc.assert(
      fc.property(anyPlan(14), fc.integer({ min: 0, max: 1800 }), (plan, available) => {
        const fit = fitPlan(plan, available);
        expect(fit.placements.map((p) => p.item.id)).toEqual(plan.items.map((i) => i.id));
        const idle = fit.idle.reduce((sum, i) => sum + i.toSeconds - i.fromSeconds, 0);
        if (fit.workSeconds > 0) expect(fit.workSeconds + idle + fit.spareSeconds).toBe(available);
        expect(fit.spareSeconds).toBeGreaterThanOrEqual(0);
        expect(checkSchedule(plan, openDay(), doneIn(fit), available)).toEqual([]);
        let at = fit.beginSeconds;
        for (const p of fit.placements) {
          if (!p.level) continue;
          expect(p.beginSeconds).toBe(at);
          expect(p.level).toEqual(levelsOf(p.item.dose)[p.levelIndex]);
          expect(Number.isInteger(p.level.volume.amount)).toBe(true);
          at += p.level.seconds;
        }
        if (fit.workSeconds > 0) expect(at).toBe(fit.idle.find((i) => i.toSeconds === 0)?.fromSeconds ?? 0);
      }),
      cases(100),
    );
  });

  it("is never worth less with more time", () => {
    fc.assert(
      fc.property(anyPlan(12), time, time, (plan, a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        const rank = (t: number) => rankOf(plan, fitPlan(plan, t));
        expect(compare(rank(more), rank(less))).toBeGreaterThanOrEqual(0);
      }),
      cases(100),
    );
  });

  it("gives the same answer again, and from a table made for a longer time", () => {
    fc.assert(
      fc.property(anyPlan(10), time, time, (plan, available, extra) => {
        const fit = fitPlan(plan, available);
        expect(fitPlan(JSON.parse(JSON.stringify(plan)), available)).toEqual(fit);
        expect(fitAt(profileOf(plan, openDay(), available + extra), available)).toEqual(fit);
      }),
      cases(100),
    );
  });

  it("keeps every essential drill as soon as there is time for them, and says what is missing before", () => {
    fc.assert(
      fc.property(anyPlan(8), time, (plan, available) => {
        const fit = fitPlan(plan, available);
        const lost = fit.placements.some((p) => p.item.priority === "essential" && p.verdict === "left-out");
        expect(fit.state === "short").toBe(lost);
        expect(lost).toBe(fit.neverFits || fit.missingSeconds > 0);
        if (fit.missingSeconds > 0) {
          const enough = fitPlan(plan, available + fit.missingSeconds);
          const almost = fitPlan(plan, available + fit.missingSeconds - 1);
          expect([almost.state, enough.state === "short"]).toEqual(["short", false]);
        }
      }),
      cases(400),
    );
  });
});

describe("priorities", () => {
  it("never give up a useful floor for any number of extras", () => {
    const plan = planOf([
      drill("a", { priority: "extra" }),
      drill("b", { priority: "extra" }),
      drill("long", {
        dose: { ...drill("x").dose, seconds: { floor: 120, ideal: 120, ceiling: 120 } } as never,
      }),
    ]);
    expect(levelsIn(fitPlan(plan, 120))).toEqual([-1, -1, 0]);
  });

  it("bring a useful drill to its ideal before any extra, and extras before growth beyond an ideal", () => {
    const plan = planOf([drill("useful"), drill("extra", { priority: "extra" })]);
    expect(levelsIn(fitPlan(plan, 60))).toEqual([1, -1]);
    expect(levelsIn(fitPlan(plan, 90))).toEqual([1, 0]);
    expect(levelsIn(fitPlan(plan, 120))).toEqual([1, 1]);
  });

  it("drop nobody of the same priority so that another may be longer", () => {
    const plan = planOf([drill("a"), drill("b"), drill("c")]);
    expect(levelsIn(fitPlan(plan, 90))).toEqual([0, 0, 0]);
  });

  it("between equals keep what is nearest the start, then the easier", () => {
    expect(levelsIn(fitPlan(planOf([drill("a"), drill("b")]), 30))).toEqual([-1, 0]);
  });
});

describe("the step rule under a squeeze", () => {
  const rung = (name: string, intensity: number, priority: "essential" | "useful") =>
    drill(name, { phase: "technical", intensity, priority });

  it("lowers the top rather than climbing more steeply", () => {
    const plan = planOf([rung("40", 40, "useful"), rung("60", 60, "useful"), rung("80", 80, "useful")]);
    // Time for two at their floor: 40 and 60, or 60 and 80, never 40 and 80. The later pair wins the tie.
    expect(levelsIn(fitPlan(plan, 60))).toEqual([-1, 0, 0]);
  });

  it("keeps a useful rung that an essential one stands on", () => {
    const plan = planOf([rung("40", 40, "essential"), rung("60", 60, "useful"), rung("80", 80, "essential")]);
    const fit = fitPlan(plan, 60);
    expect(fit.missingSeconds).toBe(30);
    expect(levelsIn(fitPlan(plan, 90))).toEqual([0, 0, 0]);
  });

  it("says that time will not help when essentials stand too far apart", () => {
    const plan = planOf([rung("30", 30, "essential"), rung("90", 90, "essential")]);
    const fit = fitPlan(plan, 3600);
    expect(fit).toMatchObject({ state: "short", neverFits: true, missingSeconds: 0 });
    expect(fit.placements.filter((p) => p.verdict === "left-out")).toHaveLength(1);
  });
});

describe("the wait", () => {
  it("is its least, and what is left over is spare", () => {
    const plan = planOf([drill("a")], { wait: { leastSeconds: 300, longestSeconds: 600 } });
    expect(fitPlan(plan, 900)).toMatchObject({
      waitSeconds: 300,
      workSeconds: 90,
      spareSeconds: 510,
      beginSeconds: -390,
    });
  });

  it("takes all there is when one minute is left", () => {
    const plan = planOf([drill("a", { priority: "essential" })], {
      wait: { leastSeconds: 300, longestSeconds: 600 },
    });
    expect(fitPlan(plan, 60)).toMatchObject({ state: "short", waitSeconds: 60, missingSeconds: 270 });
    expect(fitPlan(plan, -5)).toMatchObject({ availableSeconds: 0, waitSeconds: 0 });
  });
});

it("an empty plan fits and begins at the start", () => {
  expect(fitPlan(planOf([]), 600)).toMatchObject({ state: "fits", beginSeconds: 0, placements: [] });
});

describe("90 drills, the most a plan holds", () => {
  const short = {
    kind: "time",
    seconds: { floor: 10, ideal: 20, ceiling: 30 },
    step: 10,
    sides: "one",
    changeoverSeconds: 0,
  } as const;
  const many = (more: (i: number) => object) =>
    planOf(
      Array.from({ length: 90 }, (_, i) =>
        drill("n", { id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`, dose: short, ...more(i) }),
      ),
    );

  it("of one priority still tell the nearest to the start from the rest", () => {
    const fit = fitPlan(
      many(() => ({ priority: "essential", phase: "kit" })),
      895,
    );
    expect(levelsIn(fit)).toEqual([-1, ...Array(89).fill(0)]);
  });

  it("of mixed priorities still keep the strict order", () => {
    const priorities = ["essential", "useful", "extra"] as const;
    const fit = fitPlan(
      many((i) => ({ priority: priorities[i % 3], phase: i % 3 === 0 ? "kit" : "raise" })),
      890,
    );
    const of = (priority: string) => fit.placements.filter((p) => p.item.priority === priority);
    expect(of("essential").map((p) => p.levelIndex)).toEqual(Array(30).fill(1));
    expect(of("useful").map((p) => p.levelIndex)).toEqual([-1, ...Array(29).fill(0)]);
    expect(of("extra").map((p) => p.levelIndex)).toEqual(Array(30).fill(-1));
  });
});

it("a kit change is the last essential to go: nothing after it can be done without it", () => {
  const boots = drill("Boots on", {
    phase: "kit",
    priority: "essential",
    dose: { ...drill("x").dose, seconds: { floor: 90, ideal: 90, ceiling: 90 } } as never,
  });
  const others = ["a", "b", "c"].map((n) => drill(n, { priority: "essential" }));
  expect(levelsIn(fitPlan(planOf([boots, ...others]), 90))).toEqual([0, -1, -1, -1]);
});
