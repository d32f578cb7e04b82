import { type DrillOpenings, drillOpeningsOf } from "../model/drillOpenings";
import type { FitProblem } from "../model/problem";

/** Columns of the bound: fine enough to be near, few enough to be computed at once. */
const COLUMNS = 600;
/** Least seconds a column stands for. Times are rounded so that the bound never promises too little. */
const FINEST = 15;

/** The most that drills could still add, if only lengths, windows, fixed points and the wait mattered. */
export interface Bound {
  /** Index of the entry for the drills before an index, done by some seconds after the earliest beginning. */
  at(before: number, seconds: number): number;
  high: Float64Array;
  low: Float64Array;
}

/** Computes the bound for every number of drills and every moment, forwards from the first drill. */
export function boundOf(problem: FitProblem): Bound {
  const { drills, horizon } = problem;
  const column = Math.max(FINEST, Math.ceil(horizon / COLUMNS));
  const last = Math.floor(horizon / column);
  const width = last + 1;
  const high = new Float64Array(width * (drills.length + 1));
  const low = new Float64Array(width * (drills.length + 1));
  const when = drillOpeningsOf(problem);
  // From this column on, what can be added no longer grows: with hours to spare, that is most of them.
  let flat = 0;
  drills.forEach((drill, i) => {
    let reached = flat;
    const from = i * width;
    const to = from + width;
    high.copyWithin(to, from, to);
    low.copyWithin(to, from, to);
    const { openings, deadlines } = when[i] as DrillOpenings;
    for (const [level, { seconds, worth }] of drill.costs.entries()) {
      const deadline = deadlines[level] as number;
      for (const opening of openings) {
        const length = Math.floor((seconds * opening.turns) / column);
        const least = Math.max(0, Math.floor((opening.from + horizon) / column)) + length;
        const most = Math.min(last, Math.floor((Math.min(opening.to, deadline) + horizon) / column));
        const enough = Math.min(most, Math.max(least, flat + length));
        reached = Math.max(reached, enough);
        for (let at = least; at <= enough; at++) {
          const newHigh = (high[from + at - length] as number) + worth.high;
          const oldHigh = high[to + at] as number;
          if (newHigh < oldHigh) continue;
          const newLow = (low[from + at - length] as number) + worth.low;
          if (newHigh === oldHigh && newLow <= (low[to + at] as number)) continue;
          high[to + at] = newHigh;
          low[to + at] = newLow;
        }
      }
    }
    // Done by a moment is done by any later one.
    for (let at = to + 1; at <= to + reached; at++) {
      const h = high[at] as number;
      const before = high[at - 1] as number;
      if (h > before || (h === before && (low[at] as number) >= (low[at - 1] as number))) continue;
      high[at] = before;
      low[at] = low[at - 1] as number;
    }
    high.fill(high[to + reached] as number, to + reached, to + width);
    low.fill(low[to + reached] as number, to + reached, to + width);
    flat = reached;
  });
  return { at: (before, seconds) => before * width + Math.floor(seconds / column), high, low };
}
