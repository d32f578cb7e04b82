import type { Scale } from "../athlete/scale";
import type { LadderDose } from "../dose/ladder/ladderDose";

/**
 * Labels of rungs that came from a scale and that none of the athlete's scales has any more: a scale can be edited under
 * a plan, whose rungs then stay as they were.
 */
export function lostLabels({ rungs }: LadderDose, scales: readonly Scale[]): string[] {
  if (scales.length === 0) return [];
  const names = new Set(scales.flatMap((s) => s.items.map((i) => i.name)));
  return rungs
    .filter((r) => r.chancePercent !== undefined && r.label !== "" && !names.has(r.label))
    .map((r) => r.label);
}
