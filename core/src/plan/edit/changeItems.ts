import { cutText } from "../../words/cutText";
import { LONGEST_NOTE } from "../../words/text";
import { drillContent, type ShelfContent, shelfOrigin } from "../drillContent";
import type { PlanBody, PlanItem } from "../plan";

/** Changes one drill of the plan. */
export function changeItem(body: PlanBody, id: string, change: Partial<PlanItem>): PlanBody {
  return { ...body, items: body.items.map((i) => (i.id === id ? { ...i, ...change } : i)) };
}

/** Takes drills out. */
export function removeItems(body: PlanBody, ids: readonly string[]): PlanBody {
  return { ...body, items: body.items.filter((i) => !ids.includes(i.id)) };
}

/** Puts a drill of the shelf in the place of another, as important as that was. */
export function replaceItem(body: PlanBody, id: string, drill: ShelfContent): PlanBody {
  const old = body.items.find((i) => i.id === id);
  if (!old) return body;
  const { priority } = old;
  const item = {
    id,
    ...shelfOrigin(drill),
    ...drillContent(drill),
    priority,
    // Not what for: what is said of health stays with the athlete.
    why: cutText(`Instead of ${old.name}.`, LONGEST_NOTE),
  };
  return { ...body, items: body.items.map((i) => (i.id === id ? item : i)) };
}
