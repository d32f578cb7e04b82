import type { DoseLevel } from "../dose/terms/level";
import type { PlanItem } from "./plan";

/** Which total an item's actions go to. */
export type CountedTotal = "volume" | "explosive";

/** Whether an item's actions are repetitions of the sport's own, or explosive ones. */
export function isCounted(
  { phase, details }: Pick<PlanItem, "phase" | "details">,
  total: CountedTotal,
): boolean {
  return total === "volume"
    ? phase === "technical" || phase === "prime"
    : (details?.flags.includes("explosive") ?? false);
}

/** What an item at a level adds to a total. */
export function actionsOf(item: PlanItem, level: DoseLevel, total: CountedTotal): number {
  return isCounted(item, total) ? level.actions : 0;
}
