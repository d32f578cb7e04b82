import type { PlanBody } from "../../plan/plan";

/** The drills of the shelf that a plan is made of, in order. */
export const contentOf = (plan: PlanBody): string[] =>
  plan.items.flatMap((i) => (i.drillId ? [i.drillId] : []));

/** Share of drills in common from which two warm-ups are the same. Custom. */
const SAME = 0.8;

/** Whether two warm-ups have nearly the same drills. */
export function sameContent(a: readonly string[], b: readonly string[]): boolean {
  const all = new Set([...a, ...b]);
  const other = new Set(b);
  return all.size > 0 && a.filter((id) => other.has(id)).length >= SAME * all.size;
}
