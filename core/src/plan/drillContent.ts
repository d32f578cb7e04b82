import type { PlanItem } from "./plan";

/** What a drill is, apart from where it stands: the same on the shelf and in a plan. */
export type DrillContent = Omit<PlanItem, "id" | "drillId" | "why">;

/** The content of a drill of the shelf or of a plan, and nothing else that it carries. */
export function drillContent(drill: DrillContent): DrillContent {
  const { name, phase, priority, intensity, dose, focus, place, details } = drill;
  return { name, phase, priority, intensity, dose, focus, place, ...(details ? { details } : {}) };
}
