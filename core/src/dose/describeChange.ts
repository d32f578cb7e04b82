import { formatLength } from "../time/clock";
import type { DoseLevel, LevelCount } from "./terms/level";

/** What the other level is: what was before, what is asked for, or what there is now. */
export type ChangeFrom = "was" | "wanted" | "now";

/**
 * Says how one level differs from another of the same dose: what it comes to, and beside it what that differs from.
 * @example describeChange(threeSets, twoSets, "wanted") // "2 sets (wanted 3)"
 * @returns an empty string when nothing differs
 */
export function describeChange(from: DoseLevel, to: DoseLevel, word: ChangeFrom): string {
  return from.counts
    .flatMap((was, i) => {
      const is = to.counts[i];
      return is && is.amount !== was.amount ? [changeWords(was, is, word)] : [];
    })
    .join(", ");
}

function changeWords(was: LevelCount, is: LevelCount, word: ChangeFrom): string {
  if (!was.noun) return `${formatLength(is.amount)} (${word} ${formatLength(was.amount)})`;
  return `${is.amount} ${was.noun[is.amount === 1 ? 0 : 1]} (${word} ${was.amount})`;
}
