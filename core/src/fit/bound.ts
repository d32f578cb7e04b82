import type { OpenSpan } from "./openSpans";
import type { FitDrill, FitProblem } from "./problem";

/** Columns of the bound: fine enough to be near, few enough to be reckoned in no time. */
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

/** Reckons the bound for every number of drills and every moment, forwards from the first drill. */
export function boundOf(problem: FitProblem): Bound {
  const { drills, horizon, parts } = problem;
  const column = Math.max(FINEST, Math.ceil(horizon / COLUMNS));
  const last = Math.floor(horizon / column);
  const width = last + 1;
  const high = new Float64Array(width * (drills.length + 1));
  const low = new Float64Array(width * (drills.length + 1));
  const inOrder = new Set(parts.filter((p) => p.to - p.from === 1).map((p) => p.from));
  drills.forEach((drill, i) => {
    const from = i * width;
    const to = from + width;
    high.copyWithin(to, from, to);
    low.copyWithin(to, from, to);
    // Where the order is free, when each may be done says nothing of the others.
    const ordered = inOrder.has(i);
    const spans = ordered ? spansOf(problem, drill) : WHOLE_DAY;
    for (const { seconds, deadline, worth } of drill.costs) {
      for (const span of spans) {
        const length = Math.floor((seconds * span.turns) / column);
        const least = Math.max(0, Math.floor((span.from + horizon) / column)) + length;
        const most = Math.min(
          last,
          Math.floor((Math.min(span.to, ordered ? deadline : 0) + horizon) / column),
        );
        for (let at = least; at <= most; at++) {
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
    for (let at = to + 1; at < to + width; at++) {
      const h = high[at] as number;
      const before = high[at - 1] as number;
      if (h > before || (h === before && (low[at] as number) >= (low[at - 1] as number))) continue;
      high[at] = before;
      low[at] = low[at - 1] as number;
    }
  });
  return { at: (before, seconds) => before * width + Math.floor(seconds / column), high, low };
}

const WHOLE_DAY: OpenSpan[] = [{ from: -Infinity, to: 0, turns: 1, whole: true }];

function spansOf({ spans }: FitProblem, { place, calm, wholePlace }: FitDrill): OpenSpan[] {
  const all = (place >= 0 ? spans.there[place] : spans.anywhere.at(-1))?.[calm ? 1 : 0] ?? [];
  return wholePlace ? all.filter((s) => s.whole) : all;
}
