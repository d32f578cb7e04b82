import { checkPlan } from "../../src/checks/checkPlan";
import { explanationOf } from "../../src/fit/explain/explanation";
import { fitPlan } from "../../src/fit/fit";
import type { PlanBody } from "../../src/plan/plan";
import { openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const checked = (plan: PlanBody, seconds: number) =>
  checkPlan(plan, fitPlan(plan, seconds), explanationOf(plan, openDay(), seconds)).map((f) => [
    f.severity,
    f.code,
    f.words,
  ]);

it("has nothing to say against a plan that fits and keeps its own rules", () => {
  expect(checked(planOf([drill("Laps")]), 600)).toEqual([]);
});

it("puts what stops before what only warns", () => {
  const rung = (name: string, intensity: number) =>
    drill(name, { phase: "technical", intensity, priority: "essential" });
  const plan = planOf([rung("Waltz jump", 20), rung("Axel", 90)], { limits: { volumePercent: 20 } });
  expect(checked(plan, 600)).toEqual([
    ["stop", "steep-step", expect.stringContaining("70 points up from Waltz jump")],
    ["stop", "essentials-short", expect.stringContaining("steeper step apart")],
    ["warn", "unknown-session", expect.stringContaining("usual session")],
  ]);
});

it("says by how much time is short, and how much too long a wait is", () => {
  const plan = planOf([drill("Laps", { priority: "essential" })], {
    wait: { leastSeconds: 100, longestSeconds: 100 },
  });
  // 30 s at its floor and 100 s of wait: 20 s are missing at 110.
  expect(checked(plan, 110)).toEqual([["stop", "essentials-short", "The essentials need 20 s more."]]);
  const late = fitPlan(plan, 300);
  const words = checkPlan(plan, { ...late, waitOverSeconds: 65 }, { culprit: null, remarks: [] });
  expect(words.map((f) => f.words)).toEqual(["The wait is 1:05 min longer than tolerated."]);
});
