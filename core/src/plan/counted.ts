import type { DoseLevel } from "../dose/terms/level";
import type { Phase } from "../words/phase";
import type { PlanItem } from "./plan";

/** Which total an item's actions go to. */
export type CountedTotal = "volume" | "explosive";

/**
 * Whether actions go to a total: repetitions of the sport's own are those of technical drills and primes, whatever their
 * effort; explosive ones are those of drills said to be so, in whatever phase. Custom, as docs/fit.md has it.
 */
export function isCountedIn(total: CountedTotal, phase: Phase, explosive: boolean): boolean {
  return total === "volume" ? phase === "technical" || phase === "prime" : explosive;
}

/** Whether a drill is said to be explosive. */
export const isExplosive = ({ details }: Pick<PlanItem, "details">): boolean =>
  details?.flags.includes("explosive") ?? false;

/** Whether an item's actions go to a total. */
export function isCounted(item: Pick<PlanItem, "phase" | "details">, total: CountedTotal): boolean {
  return isCountedIn(total, item.phase, isExplosive(item));
}

/** What an item at a level adds to a total. */
export function actionsOf(item: PlanItem, level: DoseLevel, total: CountedTotal): number {
  return isCounted(item, total) ? level.actions : 0;
}
