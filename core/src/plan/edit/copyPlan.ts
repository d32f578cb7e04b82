import type { MakeId } from "../../words/makeId";
import type { PlanBody } from "../plan";
import { withOwnIds } from "./ownIds";

/** The same warm-up with ids of its own: what must follow another drill follows that one's copy. */
export function copyPlan(body: PlanBody, makeId: MakeId): PlanBody {
  const copies = body.items.map((item) => withOwnIds(item, makeId));
  const idOf = new Map(body.items.map((item, i) => [item.id, copies[i]?.id]));
  const items = copies.map(({ after, ...item }) => {
    const leader = after === undefined ? undefined : idOf.get(after);
    return leader === undefined ? item : { ...item, after: leader };
  });
  return { ...body, items };
}
