import type { Setting } from "../../conditions/setting";
import type { MakeId } from "../../words/makeId";
import { drillContent, shelfOrigin } from "../drillContent";
import { withoutBrokenPairs } from "../order";
import { MOST_DRILLS, type PlanBody } from "../plan";
import type { Edit } from "../planEdit";
import { addDrill } from "./addDrill";
import { changeItem, removeItems, replaceItem } from "./changeItems";
import { withOwnIds } from "./ownIds";

/** A plan with edits applied, in order. What is no longer there to be edited is passed over. */
export function editedPlan(plan: PlanBody, edits: readonly Edit[], makeId: MakeId): PlanBody {
  const next = edits.reduce((body, edit) => editPlan(body, edit, makeId), plan);
  return next === plan ? plan : { ...next, items: withoutBrokenPairs(next.items) };
}

/** What is there on the day, with edits applied. */
export function editedSetting<S extends Partial<Setting>>(setting: S, edits: readonly Edit[]): S {
  const changes = edits.flatMap((edit) => (edit.kind === "setting" ? [edit.change] : []));
  return Object.assign({}, setting, ...changes);
}

function editPlan(body: PlanBody, edit: Edit, makeId: MakeId): PlanBody {
  switch (edit.kind) {
    case "change":
      return changeItem(body, edit.itemId, edit.change);
    case "replace":
      return replaceItem(body, edit.itemId, edit.drill);
    case "remove":
      return removeItems(body, [edit.itemId]);
    case "insert":
      return insertDrill(body, edit, makeId);
    case "move":
      return moveBefore(body, edit.itemId, edit.before);
    case "wait": {
      const wait = { ...body.wait, ...edit.change };
      return { ...body, wait: orderedWait(wait) };
    }
    case "limits":
      return { ...body, limits: { ...body.limits, ...edit.change } };
    case "setting":
      return body;
  }
}

/** A wait whose least was changed, with what goes by it. */
export function orderedWait(wait: PlanBody["wait"]): PlanBody["wait"] {
  const { leastSeconds, longestSeconds, shortestSeconds } = wait;
  return {
    ...wait,
    longestSeconds: Math.max(leastSeconds, longestSeconds),
    ...(shortestSeconds === undefined ? {} : { shortestSeconds: Math.min(leastSeconds, shortestSeconds) }),
  };
}

function insertDrill(
  body: PlanBody,
  { drill, before }: Extract<Edit, { kind: "insert" }>,
  makeId: MakeId,
): PlanBody {
  if (body.items.length >= MOST_DRILLS) return body;
  const { calm, why } = drill;
  const more = { ...(calm ? { calm } : {}), ...(why ? { why } : {}) };
  if (before === undefined) {
    const { body: next, id } = addDrill(body, drill, makeId);
    return changeItem(next, id, more);
  }
  const item = withOwnIds({ id: makeId(), ...shelfOrigin(drill), ...drillContent(drill), ...more }, makeId);
  const at = before === null ? -1 : body.items.findIndex((i) => i.id === before);
  return { ...body, items: body.items.toSpliced(at < 0 ? body.items.length : at, 0, item) };
}

function moveBefore(body: PlanBody, itemId: string, before: string | null): PlanBody {
  const item = body.items.find((i) => i.id === itemId);
  if (!item || before === itemId) return body;
  const others = body.items.filter((i) => i !== item);
  const at = before === null ? -1 : others.findIndex((i) => i.id === before);
  return { ...body, items: others.toSpliced(at < 0 ? others.length : at, 0, item) };
}
