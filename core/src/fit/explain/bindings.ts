import type { Fit } from "../fit";
import type { FitProblem, Rule } from "../model/problem";
import { problemOf } from "../model/problemOf";
import { rulesOf } from "../model/rules";
import type { FitProfile } from "../profile";
import { solveAt } from "../search/solve";

/** What kept a drill from its ideal: time, one rule, or several things at once. */
export type Binding = { kind: "time" } | Rule | { kind: "together" };

/**
 * Finds, for every drill below its ideal, what was binding: time if more of it would help, else the first rule without
 * which the drill would stand better. Solved anew without each rule, so it is what really was, not a guess.
 */
export function bindingsOf(profile: FitProfile, fit: Fit): Map<string, Binding> {
  const { plan, context } = profile.problem;
  const bindings = new Map<string, Binding>();
  const given = fit.placements.filter(
    (p) => p.verdict === "left-out" || p.verdict === "floor" || p.verdict === "shortened",
  );
  const open = new Map(given.map((p) => [p.item.id, p.levelIndex]));
  const mark = (levels: ReadonlyMap<string, number>, binding: Binding) => {
    for (const [id, had] of [...open]) {
      if ((levels.get(id) ?? -1) <= had) continue;
      bindings.set(id, binding);
      open.delete(id);
    }
  };
  if (open.size > 0) mark(levelsOf(problemOf(plan, context)), { kind: "time" });
  for (const rule of rulesOf(profile.problem)) {
    if (open.size === 0) break;
    mark(levelsOf(problemOf(plan, context, { without: rule })), rule);
  }
  for (const id of open.keys()) bindings.set(id, { kind: "together" });
  return bindings;
}

/** Levels by drill in the best plan. */
function levelsOf(problem: FitProblem): Map<string, number> {
  const { begins, stepsOf } = solveAt(problem);
  return new Map(stepsOf(begins.length - 1).map((s) => [problem.drills[s.drill]?.item.id ?? "", s.level]));
}
