import { noDetails } from "../drill/details";
import { wordKey } from "../words/sameWord";
import type { PlanItem } from "./plan";

/** How it stands with a change of kit: what follows needs it, it is done already, or nothing depends on it. */
export type KitState = "needed" | "on" | "loose";

/** How it stands with a change of kit, as it is written in the plan. */
export function kitStateOf({ alreadyOn, details }: Pick<PlanItem, "alreadyOn" | "details">): KitState {
  if (alreadyOn) return "on";
  return details?.flags.includes("no-condition") ? "loose" : "needed";
}

/** What has to change of an item for that. */
export function withKitState(
  { details = noDetails() }: Pick<PlanItem, "details">,
  state: KitState,
): Pick<Partial<PlanItem>, "alreadyOn" | "details"> {
  const flags = details.flags.filter((f) => f !== "no-condition");
  return {
    alreadyOn: state === "on" ? true : undefined,
    details: { ...details, flags: state === "loose" ? [...flags, "no-condition"] : flags },
  };
}

/** A change of kit that is still to be done, and that what follows depends on. */
function isCondition(item: PlanItem): boolean {
  return item.phase === "kit" && !item.calm && kitStateOf(item) === "needed";
}

/**
 * Whether two changes are of one kit: they name a piece of equipment in common; where one of them names none, they have
 * one name.
 */
function ofOneKit(a: PlanItem, b: PlanItem): boolean {
  const pieces = new Set(a.details?.equipment.map(wordKey));
  const others = b.details?.equipment ?? [];
  if (pieces.size === 0 || others.length === 0) return wordKey(a.name) === wordKey(b.name);
  return others.some((o) => pieces.has(wordKey(o)));
}

/**
 * The changes of kit that each drill cannot be done without, as indices into `items`: those before it with no later
 * change of the same kit in between. Kit itself, and what is done in the wait, needs none.
 */
export function kitNeeded(items: readonly PlanItem[]): number[][] {
  return items.map((item, at) => {
    if (item.phase === "kit" || item.calm) return [];
    return items.flatMap((kit, k) => {
      if (k >= at || !isCondition(kit)) return [];
      const changed = items.slice(k + 1, at).some((o) => o.phase === "kit" && ofOneKit(kit, o));
      return changed ? [] : [k];
    });
  });
}
