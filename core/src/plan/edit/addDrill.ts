import type { MakeId } from "../../words/makeId";
import { PHASES, type Phase } from "../../words/phase";
import { drillContent, type ShelfContent, shelfOrigin } from "../drillContent";
import type { PlanBody, PlanItem } from "../plan";
import { withOwnIds } from "./ownIds";

/**
 * Copies a drill from the shelf into the plan: after the last one of its phase or of an earlier phase, a technical one
 * where it keeps the climb even, and kit before the sport's own work.
 * @returns the plan with it, and the id it has there
 */
export function addDrill(
  body: PlanBody,
  drill: ShelfContent,
  makeId: MakeId,
): { body: PlanBody; id: string } {
  const copy: PlanItem = { id: makeId(), ...shelfOrigin(drill), ...drillContent(drill) };
  // The same ladder twice in a plan is run rung by rung all the same: no two rungs may be taken for one.
  const taken = new Set(body.items.flatMap(rungIds));
  const item = rungIds(copy).some((id) => taken.has(id)) ? withOwnIds(copy, makeId) : copy;
  return { body: { ...body, items: body.items.toSpliced(placeFor(body.items, item), 0, item) }, id: item.id };
}

const rungIds = ({ dose }: PlanItem): string[] => (dose.kind === "ladder" ? dose.rungs.map((r) => r.id) : []);

function placeFor(items: readonly PlanItem[], item: PlanItem): number {
  const isOwn = ({ phase }: PlanItem) => phase === "technical" || phase === "prime";
  // Kit is put on for the sport's own work, which is not done without it; where else it is done, it is moved to.
  if (item.phase === "kit") {
    const own = items.findIndex(isOwn);
    return own < 0 ? items.length : own;
  }
  if (item.phase === "technical") {
    const harder = items.findIndex((i) => i.phase === "technical" && i.intensity > item.intensity);
    if (harder >= 0) return harder;
  }
  const rank = (phase: Phase) => PHASES.indexOf(phase);
  const before = (i: PlanItem) => (i.phase === "kit" ? isOwn(item) : rank(i.phase) <= rank(item.phase));
  return items.findLastIndex(before) + 1;
}
