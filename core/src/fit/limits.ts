import type { FitProblem } from "./problem";
import type { Solution, SolvedStep } from "./solution";

/** The limits on totals that are kept an eye on. */
export interface Limits {
  /** Rest owed before the start, where several drills owe it together. */
  owed: boolean;
  general: boolean;
  /** Indices of caps. */
  caps: number[];
}

export const NO_LIMITS: Limits = { owed: false, general: false, caps: [] };

/** Whether there is any. */
export function isBroken(limits: Limits): boolean {
  return howMany(limits) > 0;
}

export function howMany({ owed, general, caps }: Limits): number {
  return Number(owed) + Number(general) + caps.length;
}

/** Those, and some more. */
export function withMore(limits: Limits, more: Limits): Limits {
  return {
    owed: limits.owed || more.owed,
    general: limits.general || more.general,
    caps: [...new Set([...limits.caps, ...more.caps])].sort((a, b) => a - b),
  };
}

/** All that a problem has. */
export function allLimits({ caps, generalMost, drills }: FitProblem): Limits {
  return {
    owed: drills.filter(owesRest).length > 1,
    general: Number.isFinite(generalMost),
    caps: caps.map((_, k) => k),
  };
}

function owesRest({ costs }: FitProblem["drills"][number]): boolean {
  return costs.some((c) => c.owes > 0);
}

/** Which of the limits not kept an eye on are broken by any of the plans, or by the last. */
export function brokenLimits(
  problem: FitProblem,
  limits: Limits,
  solution: Solution,
  lastOnly: boolean,
): Limits {
  const open = problem.caps.map((_, k) => k).filter((k) => !limits.caps.includes(k));
  const asks = Number.isFinite(problem.generalMost) && !limits.general;
  const owes = !limits.owed && problem.drills.filter(owesRest).length > 1;
  const broken: Limits = { owed: false, general: false, caps: [] };
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
