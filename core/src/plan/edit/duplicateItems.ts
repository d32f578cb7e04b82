import type { MakeId } from "../../words/makeId";
import { MOST_DRILLS, type PlanBody } from "../plan";
import { withOwnIds } from "./ownIds";

/** The same drills once more, each right after itself. */
export function duplicateItems(body: PlanBody, ids: readonly string[], makeId: MakeId): PlanBody {
  if (body.items.length + ids.length > MOST_DRILLS) return body;
  return {
    ...body,
    items: body.items.flatMap((i) => (ids.includes(i.id) ? [i, withOwnIds(i, makeId)] : [i])),
  };
}
