import type { Fit, Placement } from "../fit/fit";
import type { PlanItem } from "../plan/plan";
import { fitTimeline } from "../timeline/fitTimeline";
import { joined, type Piece } from "./model/piece";

/** A fitted plan as stretches of constant effort, from its first drill to the start. */
export function piecesOf(fit: Fit): Piece[] {
  const placements = new Map(fit.placements.map((p) => [p.item.id, p]));
  const segments = fitTimeline(fit);
  return joined(
    segments.map(({ kind, itemId, key, intensity, fromSeconds, toSeconds }): Piece => {
      const placement = kind === "drill" ? placements.get(itemId) : undefined;
      const length = toSeconds - fromSeconds;
      return {
        fromSeconds,
        toSeconds,
        effort: placement ? effortOf(placement.item, intensity) : 0,
        share: placement && length > 0 ? Math.min(1, workIn(placement, key) / length) : 0,
        hold: placement ? holdOf(placement) : null,
      };
    }),
  );
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
