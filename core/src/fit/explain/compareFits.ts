import { describeChange } from "../../dose/describeChange";
import type { Fit } from "../fit";

/**
 * What one fit has over another, drill by drill: what five more minutes buy.
 * @returns sentences, what is gained first, empty when both are the same
 * @example compareFits(now, later) // ["Spins comes back", "Walking lunges 3 sets (now 2)"]
 */
export function compareFits(from: Fit, to: Fit): string[] {
  const { less, more } = changesBetween(from, to);
  return [...more, ...less];
}

/**
 * What less time costs: what is lost, and then what comes in for it, which is no cost.
 * @example costOf(now, sooner) // ["Axel left out", "for it Spins comes back"]
 */
export function costOf(from: Fit, to: Fit): string[] {
  const { less, more } = changesBetween(from, to);
  return [...less, ...more.map((line) => `for it ${line}`)];
}

/** What there is less of, and more of, drill by drill in the order of the first. */
function changesBetween(from: Fit, to: Fit): { less: string[]; more: string[] } {
  const then = new Map(to.placements.map((p) => [p.item.id, p]));
  const changes: { less: string[]; more: string[] } = { less: [], more: [] };
  for (const was of from.placements) {
    const is = then.get(was.item.id);
    if (!is || was.levelIndex === is.levelIndex) continue;
    const { name } = was.item;
    if (!was.level) changes.more.push(`${name} comes back`);
    else if (!is.level) changes.less.push(`${name} left out`);
    else {
      const side = is.levelIndex < was.levelIndex ? changes.less : changes.more;
      side.push(`${name} ${describeChange(was.level, is.level, "now")}`);
    }
  }
  return changes;
}
