import type { Fit, Placement } from "../fit/fit";
import type { PlanItem } from "../plan/plan";
import { fitTimeline } from "../timeline/fitTimeline";
import { joined, type Piece } from "./model/piece";

/** One segment of a fitted plan as the body has it. */
export interface Part extends Piece {
  name: string;
  /** The drill; null where nothing is done. */
  item: PlanItem | null;
}

/** A fitted plan segment by segment, from its first drill to the start. */
export function partsOf(fit: Fit): Part[] {
  const placements = new Map(fit.placements.map((p) => [p.item.id, p]));
  return fitTimeline(fit).map(({ kind, itemId, key, name, intensity, fromSeconds, toSeconds }): Part => {
    const placement = kind === "drill" ? placements.get(itemId) : undefined;
    const length = toSeconds - fromSeconds;
    return {
      name,
      item: placement?.item ?? null,
      fromSeconds,
      toSeconds,
      effort: placement ? effortOf(placement.item, intensity) : 0,
      share: placement && length > 0 ? Math.min(1, workIn(placement, key) / length) : 0,
      hold: placement ? holdOf(placement) : null,
    };
  });
}

/**
 * Returns a fitted plan as stretches of constant effort, from its first drill to the start.
 * @example piecesOf(fitPlan(plan, 1_500)) // [] for a plan of which nothing is done
 */
export function piecesOf(fit: Fit): Piece[] {
  return joined(partsOf(fit).map(({ name: _, item: __, ...piece }) => piece));
}

/** Effort of a drill as the body has it, 0 to 1: changing kit and lying still are none. */
export function effortOf({ phase, calm }: Pick<PlanItem, "phase" | "calm">, intensity: number): number {
  return phase === "kit" || calm === "quiet" ? 0 : intensity / 100;
}

/** Seconds of work in a drill, or in one rung of it. */
function workIn({ level }: Placement, key: string): number {
  return level?.rungs?.find((r) => r.id === key)?.workSeconds ?? level?.workSeconds ?? 0;
}

/** Seconds that a held stretch is held on each side; null of what is no held stretch. */
function holdOf({ item, level }: Placement): Piece["hold"] {
  if (!item.details?.flags.includes("static-hold") || !level) return null;
  const sides = "sides" in item.dose && item.dose.sides === "both" ? 2 : 1;
  return { seconds: level.workSeconds / sides, areas: item.details.areas };
}
