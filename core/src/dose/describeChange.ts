import { formatLength } from "../time/clock";
import type { DoseLevel, LevelCount } from "./terms/level";

/**
 * Says how one level differs from another of the same dose.
 * @example describeChange(threeSets, twoSets) // "3 → 2 sets"
 * @returns an empty string when nothing differs
 */
export function describeChange(from: DoseLevel, to: DoseLevel): string {
  return from.counts
    .flatMap((was, i) => {
      const is = to.counts[i];
      return is && is.amount !== was.amount ? [changeWords(was, is)] : [];
    })
    .join(", ");
}

function changeWords(was: LevelCount, is: LevelCount): string {
  if (!was.noun) return `${formatLength(was.amount)} → ${formatLength(is.amount)}`;
  return `${was.amount} → ${is.amount} ${was.noun[is.amount === 1 ? 0 : 1]}`;
}
