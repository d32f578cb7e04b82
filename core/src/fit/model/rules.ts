import { kitNeeded } from "../../plan/kit";
import type { FitProblem, Rule } from "./problem";

/** The rules that a problem has, the most telling first. */
export function rulesOf({ places, points, caps, drills, generalMost, plan }: FitProblem): Rule[] {
  const rules: Rule[] = [{ kind: "step" }];
  places.forEach((_, place) => {
    rules.push({ kind: "window", place });
  });
  points.forEach((_, point) => {
    rules.push({ kind: "point", point });
  });
  if (Number.isFinite(generalMost)) rules.push({ kind: "general" });
  for (const { name } of caps) rules.push({ kind: "cap", cap: name });
  if (plan.items.some((i) => i.after !== undefined)) rules.push({ kind: "pair" });
  if (kitNeeded(plan.items).some((kit) => kit.length > 0)) rules.push({ kind: "kit" });
  if (drills.some((d) => d.costs.some((c) => c.rest > 0))) rules.push({ kind: "rest" });
  if (plan.wait.times) rules.push({ kind: "owed" });
  rules.push({ kind: "travel" }, { kind: "wait" });
  return rules;
}
