import type { FitProblem } from "./problem";

/** The limits on totals that a search keeps to. Only those that bind are active: each costs time. */
export interface ActiveLimits {
  /** Rest owed before the start, where several drills owe it together. */
  owed: boolean;
  general: boolean;
  /** Indices of caps. */
  caps: number[];
}

/** None of them. */
export const NO_LIMITS: ActiveLimits = { owed: false, general: false, caps: [] };

/** Whether there is any. */
export function isAny(limits: ActiveLimits): boolean {
  return howMany(limits) > 0;
}

/** How many there are. */
export function howMany({ owed, general, caps }: ActiveLimits): number {
  return Number(owed) + Number(general) + caps.length;
}

/** Those, and some more. */
export function withMore(limits: ActiveLimits, more: ActiveLimits): ActiveLimits {
  return {
    owed: limits.owed || more.owed,
    general: limits.general || more.general,
    caps: [...new Set([...limits.caps, ...more.caps])].sort((a, b) => a - b),
  };
}

/** All that a problem has. */
export function allLimits({ caps, generalMost, drills }: FitProblem): ActiveLimits {
  return {
    owed: drills.filter(owesRest).length > 1,
    general: Number.isFinite(generalMost),
    caps: caps.map((_, k) => k),
  };
}

/** Whether a drill owes rest before the start at any of its levels. */
export function owesRest({ costs }: FitProblem["drills"][number]): boolean {
  return costs.some((c) => c.owes > 0);
}
