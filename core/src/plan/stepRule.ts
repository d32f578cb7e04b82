import { climbOf } from "../dose/ladder/climb";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import type { PlanItem } from "./plan";

/**
 * True when a technical drill may follow another.
 * Only rises are limited: stepping down is always allowed, and the first technical drill may begin anywhere.
 * @param from intensity of the last technical drill done, or null when there was none
 * @param to intensity of the next; `points` the largest allowed rise
 */
export function stepAllowed(from: number | null, to: number, points: number): boolean {
  return from === null || to - from <= points;
}

/** A step that is steeper than the plan allows. */
export interface SteepStep {
  fromId: string;
  /** The drill that is stepped up to; the ladder itself when the step is between its rungs. */
  toId: string;
  /** Rise in points of effort. */
  rise: number;
}

/** The places where the plan as written climbs more steeply than it allows itself. */
export function steepSteps(
  items: readonly Pick<PlanItem, "id" | "phase" | "intensity" | "dose">[],
  points: number,
): SteepStep[] {
  const technical = items
    .filter((i) => i.phase === "technical")
    .map(({ id, intensity, dose }) => ({ id, ...climbOf({ intensity }, levelsOf(dose)[idealLevel(dose)]) }));
  return technical.flatMap((to, k) => {
    const from = technical[k - 1];
    if (from && !stepAllowed(from.to, to.from, points))
      return [{ fromId: from.id, toId: to.id, rise: to.from - from.to }];
    return to.rise > points ? [{ fromId: to.id, toId: to.id, rise: to.rise }] : [];
  });
}
