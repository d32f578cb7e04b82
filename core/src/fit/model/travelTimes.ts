import type { Travel } from "../../venue/context";

/**
 * Seconds between every two places, by the shortest way over others if that is shorter; 0 where no way is given.
 * @param places how many there are
 */
export function metricClosure(
  places: number,
  travel: readonly Travel[],
  indexOf: (name: string) => number,
): number[][] {
  const given = Array.from({ length: places }, (_, a) =>
    Array.from({ length: places }, (_, b) => (a === b ? 0 : Infinity)),
  );
  for (const { from, to, seconds } of travel) {
    const a = indexOf(from);
    const b = indexOf(to);
    if (a < 0 || b < 0) continue;
    (given[a] as number[])[b] = seconds;
    (given[b] as number[])[a] = seconds;
  }
  for (let via = 0; via < places; via++) {
    for (let a = 0; a < places; a++) {
      for (let b = 0; b < places; b++) {
        const round = (given[a]?.[via] ?? 0) + (given[via]?.[b] ?? 0);
        if (round < (given[a]?.[b] ?? 0)) (given[a] as number[])[b] = round;
      }
    }
  }
  return given.map((row) => row.map((s) => (Number.isFinite(s) ? s : 0)));
}
