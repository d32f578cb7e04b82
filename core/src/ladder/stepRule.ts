import type { PlanItem } from "../plan/plan";

/**
 * True when a technical drill may follow another.
 * Only rises are limited: stepping down is always allowed, and the first technical drill may begin anywhere.
 * @param from intensity of the last technical drill done, or null when there was none
 * @param to intensity of the next; `points` the largest allowed rise
 */
export function stepAllowed(from: number | null, to: number, points: number): boolean {
  return from === null || to - from <= points;
}

export interface SteepStep {
  fromId: string;
  toId: string;
  /** Rise in points of effort. */
  rise: number;
}

/** The places where the plan as written climbs more steeply than it allows itself. */
export function steepSteps(
  items: readonly Pick<PlanItem, "id" | "phase" | "intensity">[],
  points: number,
): SteepStep[] {
  const technical = items.filter((i) => i.phase === "technical");
  return technical.flatMap((to, k) => {
    const from = technical[k - 1];
    return from && !stepAllowed(from.intensity, to.intensity, points)
      ? [{ fromId: from.id, toId: to.id, rise: to.intensity - from.intensity }]
      : [];
  });
}
