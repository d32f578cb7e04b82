import { drillContent, type ShelfContent } from "../../plan/drillContent";
import type { Mend } from "../../plan/finding";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { replacementFor } from "../../plan/protect";
import { steepSteps } from "../../plan/stepRule";
import { obstacleTo } from "../../plan/usable";
import type { Situation } from "../terms/situation";

/** Another drill in the place of one that cannot stay, as easy or easier and in the climb, and taking it out. */
export function insteadOf(
  { shelf, plan, circumstances }: Pick<Situation, "shelf" | "plan" | "circumstances">,
  item: PlanItem,
): Mend[] {
  const taken = new Set(plan.items.map((i) => i.drillId));
  const to = replacementFor(
    item,
    shelf.flatMap((d) => (d.id === undefined ? [] : [{ ...d, id: d.id }])),
    (d) =>
      !taken.has(d.id) &&
      d.intensity <= item.intensity &&
      obstacleTo(d, circumstances) === null &&
      keepsClimb(plan, item, d),
  );
  const out: Mend = { words: `Leave out ${item.name}`, edits: [{ kind: "remove", itemId: item.id }] };
  if (!to) return [out];
  return [{ words: `${to.name} instead`, edits: [{ kind: "replace", itemId: item.id, drill: to }] }, out];
}

/** Whether nothing is steeper with another drill in the place of one. */
function keepsClimb({ items, stepPoints }: PlanBody, item: PlanItem, drill: ShelfContent): boolean {
  const steep = (list: readonly PlanItem[]) => steepSteps(list, stepPoints).length;
  return steep(items.map((i) => (i === item ? { ...i, ...drillContent(drill) } : i))) <= steep(items);
}
