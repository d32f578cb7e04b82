import { LONGEST_DAY } from "../day/context";
import { type Fit, fitAt } from "./fit";
import { essentialNeeds } from "./needs";
import { type FitProblem, problemOf, type Rule } from "./problem";
import { type FitProfile, profileOf } from "./profile";
import { solveAt } from "./solve";

/** What kept a drill from its ideal: time, one rule, or several things at once. */
export type Bound = { kind: "time" } | Rule | { kind: "together" };

/**
 * Finds, for every drill below its ideal, what bound it: time if more of it would help, else the first rule without
 * which the drill would stand better. Solved anew without each rule, so it is what really bound, not a guess.
 */
export function boundsOf(profile: FitProfile, fit: Fit): Map<string, Bound> {
  const { plan, context } = profile.problem;
  const bounds = new Map<string, Bound>();
  const given = fit.placements.filter(
    (p) => p.verdict === "left-out" || p.verdict === "floor" || p.verdict === "shortened",
  );
  const open = new Map(given.map((p) => [p.item.id, p.levelIndex]));
  const mark = (levels: ReadonlyMap<string, number>, bound: Bound) => {
    for (const [id, had] of [...open]) {
      if ((levels.get(id) ?? -1) <= had) continue;
      bounds.set(id, bound);
      open.delete(id);
    }
  };
  if (open.size > 0) mark(levelsOfFit(fitAt(profile, LONGEST_DAY)), { kind: "time" });
  if (open.size > 0) mark(levelsOfFit(fitAt(profileOf(plan, context), LONGEST_DAY)), { kind: "time" });
  for (const rule of rulesOf(profile.problem)) {
    if (open.size === 0) break;
    const without = problemOf(plan, context, { without: rule });
    const solution = solveAt(without);
    const steps = solution.stepsOf(solution.begins.length - 1);
    mark(new Map(steps.map((s) => [plan.items[s.drill]?.id ?? "", s.level])), rule);
  }
  for (const id of open.keys()) bounds.set(id, { kind: "together" });
  return bounds;
}

function levelsOfFit(fit: Fit): Map<string, number> {
  return new Map(fit.placements.map((p) => [p.item.id, p.levelIndex]));
}

/** The rules that a problem has, the most telling first. */
function rulesOf({ places, points, caps, drills, generalMost, plan }: FitProblem): Rule[] {
  const rules: Rule[] = [{ kind: "step" }];
  places.forEach((_, place) => {
    rules.push({ kind: "window", place });
  });
  points.forEach((_, point) => {
    rules.push({ kind: "point", point });
  });
  if (Number.isFinite(generalMost)) rules.push({ kind: "general" });
  for (const { name } of caps) rules.push({ kind: "cap", cap: name });
  if (drills.some((d) => d.after >= 0)) rules.push({ kind: "pair" });
  if (drills.some((d) => d.costs.some((c) => c.rest > 0))) rules.push({ kind: "rest" });
  if (plan.wait.times) rules.push({ kind: "owed" });
  rules.push({ kind: "travel" }, { kind: "wait" });
  return rules;
}

/** What stands in the way of the essentials, and by how much. */
export interface Culprit {
  rule: Rule;
  /** Seconds by which a window would have to open earlier; null where that does not apply. */
  lackSeconds: number | null;
}

/**
 * The first rule without which every essential drill would fit in the time available, at its floor; null when they fit,
 * when only more time helps, or when it takes more than one rule.
 */
export function culpritOf({ problem, needs }: FitProfile, availableSeconds: number): Culprit | null {
  if (needs.essentials <= availableSeconds) return null;
  const never = !Number.isFinite(needs.essentials);
  const limit = never ? LONGEST_DAY : availableSeconds;
  const { plan, context } = problem;
  for (const rule of rulesOf(problem)) {
    // The wait is not a culprit: it is what the time is for.
    if (rule.kind === "wait") continue;
    if (essentialNeeds(problemOf(plan, context, { without: rule })) > limit) continue;
    return { rule, lackSeconds: rule.kind === "window" ? windowLack(problem, rule.place, limit) : null };
  }
  return null;
}

/** By how many seconds the windows of a place would have to open earlier, at least, for the essentials to fit. */
function windowLack({ plan, context }: FitProblem, place: number, limit: number): number | null {
  const opened = (by: number) => ({
    ...context,
    places: context.places.map((p, i) =>
      i === place ? { ...p, windows: p.windows.map((w) => ({ ...w, fromSeconds: w.fromSeconds - by })) } : p,
    ),
  });
  const enough = (by: number) => essentialNeeds(problemOf(plan, opened(by))) <= limit;
  let low = 0;
  let high = 7200;
  if (!enough(high)) return null;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}
