/**
 * Even steps from one effort to another, none larger than allowed, in as few rungs as that takes.
 * @param from @param to per cent, `from` ≤ `to`; @param points the largest step
 * @param atLeast rungs wanted at the least, as far as there are whole per cents for them
 * @returns whole per cents, rising, `from` and `to` among them
 * @example climbEfforts(15, 85, 20) // [15, 33, 50, 68, 85]
 */
export function climbEfforts(from: number, to: number, points: number, atLeast = 1): number[] {
  const rises = Math.max(Math.ceil((to - from) / points), Math.min(atLeast - 1, to - from));
  if (rises <= 0) return [from];
  return Array.from({ length: rises + 1 }, (_, i) => from + Math.round((i * (to - from)) / rises));
}

/** Repetitions at an effort: as asked at the bottom, fewer by the taper at the top, in proportion between. */
export function repsAt(
  { reps, taperPercent, bottom, top }: { reps: number; taperPercent: number; bottom: number; top: number },
  intensity: number,
): number {
  const way = top > bottom ? (intensity - bottom) / (top - bottom) : 0;
  return Math.max(1, Math.round(reps * (1 - (taperPercent / 100) * way)));
}
