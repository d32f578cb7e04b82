import { type ActiveLimits, owesRest } from "../model/activeLimits";
import type { FitProblem } from "../model/problem";
import type { Solution, SolvedStep } from "./solution";

/** Which of the limits that are not active are broken by any of the plans, or by the last. */
export function brokenLimits(
  problem: FitProblem,
  limits: ActiveLimits,
  solution: Solution,
  lastOnly: boolean,
): ActiveLimits {
  const open = problem.caps.map((_, k) => k).filter((k) => !limits.caps.includes(k));
  const asks = Number.isFinite(problem.generalMost) && !limits.general;
  const owes = !limits.owed && problem.drills.filter(owesRest).length > 1;
  const broken: ActiveLimits = { owed: false, general: false, caps: [] };
  if (open.length === 0 && !asks && !owes) return broken;
  const { length } = solution.begins;
  for (let i = lastOnly ? length - 1 : 0; i < length; i++) {
    const steps = solution.stepsOf(i);
    for (const k of open) {
      const used = steps.reduce((sum, s) => sum + (problem.drills[s.drill]?.costs[s.level]?.uses[k] ?? 0), 0);
      if (used > (problem.caps[k]?.most ?? 0) && !broken.caps.includes(k)) broken.caps.push(k);
    }
    if (owes && lacksRest(problem, steps)) broken.owed = true;
    if (asks && longestGeneral(problem, steps) > problem.generalMost) broken.general = true;
  }
  return broken;
}

/**
 * Whether there is less rest than the hard drills of a plan owe together: from each of them to the start there has to be,
 * besides the later ones, as much time as it and they owe.
 */
function lacksRest({ drills }: FitProblem, steps: readonly SolvedStep[]): boolean {
  let needed = 0;
  for (const { drill, level, begin, span } of steps.toReversed()) {
    const owes = drills[drill]?.costs[level]?.owes ?? 0;
    if (owes === 0) continue;
    needed += owes;
    if (-(begin + span) < needed) return true;
    needed += span;
  }
  return false;
}

/** The longest continuous general work of a plan, seconds. */
function longestGeneral({ drills }: FitProblem, steps: readonly SolvedStep[]): number {
  let now = 0;
  let longest = 0;
  for (const { drill, level } of steps) {
    now = drills[drill]?.general ? now + (drills[drill]?.costs[level]?.seconds ?? 0) : 0;
    longest = Math.max(longest, now);
  }
  return longest;
}
