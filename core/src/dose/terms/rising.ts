import type { DoseLevel } from "./level";

/**
 * Of levels that take equally long keeps one: the ideal where it is among them, otherwise the most. Nobody would be
 * asked to do less in the same time.
 * @param isIdeal tells the ideal from the others
 */
export function rising(levels: readonly DoseLevel[], isIdeal: (level: DoseLevel) => boolean): DoseLevel[] {
  const kept = new Map<number, DoseLevel>();
  for (const level of levels) {
    const there = kept.get(level.seconds);
    if (!there || !isIdeal(there)) kept.set(level.seconds, level);
  }
  return [...kept.values()];
}
