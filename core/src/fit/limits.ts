import type { FitProblem } from "./problem";
import type { Solution, SolvedStep } from "./solution";

/** The limits on totals that are kept an eye on. */
export interface Limits {
  general: boolean;
  /** Indices of caps. */
  caps: number[];
}

export const NO_LIMITS: Limits = { general: false, caps: [] };

/** Whether there is any. */
export function isBroken({ general, caps }: Limits): boolean {
  return general || caps.length > 0;
}

/** Those, and some more. */
export function withMore(limits: Limits, more: Limits): Limits {
  return {
    general: limits.general || more.general,
    caps: [...limits.caps, ...more.caps].sort((a, b) => a - b),
  };
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
  const broken: Limits = { general: false, caps: [] };
  if (open.length === 0 && !asks) return broken;
  const { length } = solution.begins;
  for (let i = lastOnly ? length - 1 : 0; i < length; i++) {
    const steps = solution.stepsOf(i);
    for (const k of open) {
      const used = steps.reduce((sum, s) => sum + (problem.drills[s.drill]?.costs[s.level]?.uses[k] ?? 0), 0);
      if (used > (problem.caps[k]?.most ?? 0) && !broken.caps.includes(k)) broken.caps.push(k);
    }
    if (asks && longestGeneral(problem, steps) > problem.generalMost) broken.general = true;
  }
  return broken;
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
