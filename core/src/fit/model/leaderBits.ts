import type { FitProblem } from "./problem";

/** A bit for every drill that others are not done without, as they stand in a state's `awaited`. */
export function leaderBitsOf({ drills }: FitProblem): Map<number, number> {
  return new Map([...new Set(drills.flatMap((d) => d.leaders))].map((leader, n) => [leader, 2 ** n]));
}
