import { climbOf } from "../dose/ladder/climb";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import type { Finding } from "./finding";
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

/**
 * The same as findings: what is left out because of it, and what to do.
 * @param points the largest rise that the plan allows
 */
export function stepFindings(
  items: readonly Pick<PlanItem, "id" | "name" | "phase" | "intensity" | "dose">[],
  points: number,
): Finding[] {
  const at = new Map(items.map((item, i) => [item.id, { item, i }]));
  return steepSteps(items, points).map(({ fromId, toId, rise }): Finding => {
    const isOwn = fromId === toId;
    return {
      code: "steep-step",
      severity: "stop",
      where: ["plan", "items", at.get(toId)?.i ?? 0],
      itemId: toId,
      words: isOwn
        ? `A step of this ladder rises by ${rise} points, more than the ${points} this plan allows. It is left out from there on, or whole, until there is a rung between.`
        : `${rise} points up from ${at.get(fromId)?.item.name}, more than the ${points} this plan allows. One of the two is left out until there is a drill between them.`,
      mends: [],
    };
  });
}
