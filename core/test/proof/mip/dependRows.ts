import type { PlanBody, PlanItem } from "../../../src/plan/plan";
import { isFlagged, isKit, isWork, type Line, sum } from "./terms";

/** Pairs, and what is not done without its kit. */
export function dependRows(plan: PlanBody, lines: readonly Line[]): string[] {
  const line = (id: string | undefined) => lines.find((x) => x.item.id === id);
  const rows: string[] = [];
  const dependsOn = (x: Line, leader: Line) =>
    rows.push(
      `${sum([
        [1, x.kept],
        [-1, leader.kept],
      ])} <= 0`,
    );
  const guards = new Map<string, PlanItem>();
  for (const item of plan.items) {
    const x = line(item.id);
    if (isKit(item)) {
      // One piece of equipment for each in these plans, or none: then the name tells kit from kit.
      const kit = item.details?.equipment[0] ?? item.name;
      guards.delete(kit);
      if (x && !isFlagged(item, "no-condition")) guards.set(kit, item);
    } else if (x && isWork(item)) {
      for (const kit of guards.values()) dependsOn(x, line(kit.id) as Line);
    }
    const leader = line(item.after);
    if (x && leader) dependsOn(x, leader);
  }
  return rows;
}
