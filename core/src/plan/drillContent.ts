import type { PlanItem } from "./plan";

/** What a drill is, apart from where it stands: the same on the shelf and in a plan. */
export type DrillContent = Omit<PlanItem, "id" | "drillId" | "drillVersion" | "why">;

/** The content of a drill of the shelf or of a plan, and nothing else that it carries. */
export function drillContent(drill: DrillContent): DrillContent {
  const { name, phase, priority, intensity, dose, focus, place, details } = drill;
  return { name, phase, priority, intensity, dose, focus, place, ...(details ? { details } : {}) };
}

/** A drill to put into a plan: the shelf's, or one that was made for it and has neither id nor version there. */
export type ShelfContent = DrillContent & { id?: string; version?: number | undefined };

/** A plan's drill as the shelf had it, with where it came from there. */
export function shelfContentOf(item: PlanItem): ShelfContent {
  const { drillId, drillVersion } = item;
  return {
    ...drillContent(item),
    ...(drillId ? { id: drillId } : {}),
    ...(drillVersion === undefined ? {} : { version: drillVersion }),
  };
}

/** What a copy of a shelf's drill keeps of where it came from. */
export function shelfOrigin({ id, version }: Pick<ShelfContent, "id" | "version">) {
  return { drillId: id ?? null, ...(version === undefined ? {} : { drillVersion: version }) };
}
