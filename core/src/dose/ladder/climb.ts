import type { DoseLevel } from "../terms/level";

/** Where a drill enters the climb, where it leaves it, and the largest rise on the way, points of effort. */
export interface Climb {
  from: number;
  to: number;
  rise: number;
}

/** How a drill climbs at one level: a ladder from its first rung to its last, anything else not at all. */
export function climbOf(item: { intensity: number }, level: DoseLevel | undefined): Climb {
  const rungs = level?.rungs;
  if (!rungs || rungs.length === 0) return { from: item.intensity, to: item.intensity, rise: 0 };
  const efforts = rungs.map((r) => r.intensity);
  return {
    from: efforts[0] as number,
    to: efforts.at(-1) as number,
    rise: efforts.reduce((most, effort, i) => Math.max(most, effort - (efforts[i - 1] ?? effort)), 0),
  };
}
