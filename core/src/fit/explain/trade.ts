import type { PlanBody } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import { PRIORITIES } from "../../words/priority";
import { fitPlan } from "../fit";

/** A drill that could be left out so that another does better. */
export interface Trade {
  dropId: string;
  dropName: string;
}

/**
 * The drill that could best be spared for another that was given up: of those kept and not essential, the least
 * important and earliest one without which the other stands better; null when there is none.
 * @example tradeFor(plan, openDay(), 900, axel.id) // what to leave out so that the Axel is done, or null
 */
export function tradeFor(
  plan: PlanBody,
  context: FitContext,
  availableSeconds: number,
  itemId: string,
): Trade | null {
  const levelIn = (body: PlanBody) =>
    fitPlan(body, availableSeconds, context).placements.find((p) => p.item.id === itemId)?.levelIndex ?? -1;
  const now = fitPlan(plan, availableSeconds, context);
  const had = now.placements.find((p) => p.item.id === itemId)?.levelIndex ?? -1;
  const spared = now.placements
    .filter((p) => p.level && p.item.id !== itemId && p.item.priority !== "essential")
    .sort((a, b) => PRIORITIES.indexOf(b.item.priority) - PRIORITIES.indexOf(a.item.priority));
  for (const { item } of spared) {
    const without = { ...plan, items: plan.items.filter((i) => i.id !== item.id && i.after !== item.id) };
    if (without.items.some((i) => i.id === itemId) && levelIn(without) > had)
      return { dropId: item.id, dropName: item.name };
  }
  return null;
}
