import type { MakeId } from "../../words/makeId";
import type { PlanItem } from "../plan";

/** The same drill with ids of its own, rungs included. */
export function withOwnIds(item: PlanItem, makeId: MakeId): PlanItem {
  const { dose } = item;
  if (dose.kind !== "ladder") return { ...item, id: makeId() };
  return { ...item, id: makeId(), dose: { ...dose, rungs: dose.rungs.map((r) => ({ ...r, id: makeId() })) } };
}
