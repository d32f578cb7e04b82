import { climbOf } from "../../dose/ladder/climb";
import { levelsOf } from "../../dose/levelsOf";
import { climbPartOf, fromNothing, stepAllowed } from "../../plan/stepRule";
import type { Fit, Placement } from "../fit";

/**
 * Drills that are left out for the step rule and not for time: at their floor there would be time for them, but the step
 * up to them, or from them to what is kept next, would be too steep.
 * @param stepPoints the largest rise that the plan allows
 * @example steepLeftOut(fit, 20).map(({ item }) => item.name) // ["Axel"]
 */
export function steepLeftOut(
  { placements, spareSeconds }: Pick<Fit, "placements" | "spareSeconds">,
  stepPoints: number,
): Placement[] {
  const parts = placements.filter((p) => climbPartOf(p.item) !== null);
  return parts.filter((p, i) => {
    const floor = levelsOf(p.item.dose)[0];
    if (p.level || climbPartOf(p.item) === "leads" || !floor || floor.seconds > spareSeconds) return false;
    const own = climbOf(p.item, floor);
    const before = parts.slice(0, i).findLast((o) => o.level);
    const next = parts.slice(i + 1).find((o) => o.level);
    const after = next && climbPartOf(next.item) === "climbs" ? next : undefined;
    const from = before?.level ? climbOf(before.item, before.level).to : fromNothing(p.item.phase);
    return (
      own.rise > stepPoints ||
      !stepAllowed(from, own.from, stepPoints) ||
      (after?.level !== undefined &&
        after.level !== null &&
        !stepAllowed(own.to, climbOf(after.item, after.level).from, stepPoints))
    );
  });
}
