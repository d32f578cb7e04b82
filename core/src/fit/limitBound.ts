import type { FitDrill, FitProblem } from "./problem";

/** Columns of time, and steps of what is limited: as fine as is still quick. */
const COLUMNS = 120;
const STEPS = 80;

/**
 * The most worth (its high part) that the drills before an index could still add, done by some seconds after the earliest
 * beginning, with so much of one limit left; −1 when what is left is too little for anything.
 */
export type LimitBound = (before: number, seconds: number, left: number) => number;

interface Grid {
  column: number;
  width: number;
  /** Per drill and level: columns it takes, where it may end, and the worth. */
  levels: { level: number; length: number; least: number; most: number; high: number }[][];
}

function gridOf(problem: FitProblem): Grid {
  const { drills, horizon, parts } = problem;
  const column = Math.max(15, Math.ceil(horizon / COLUMNS));
  const last = Math.floor(horizon / column);
  const alone = new Set(parts.filter((p) => p.to - p.from === 1).map((p) => p.from));
  const levels = drills.map((drill, i) =>
    drill.costs.flatMap(({ seconds, deadline, worth: { high } }, level) =>
      stretches(problem, drill, alone.has(i)).map((span) => ({
        level,
        high,
        length: Math.floor((seconds * span.turns) / column),
        least: Math.max(0, Math.floor((span.from + horizon) / column)),
        most: Math.min(last, Math.floor((Math.min(span.to, alone.has(i) ? deadline : 0) + horizon) / column)),
      })),
    ),
  );
  return { column, width: last + 1, levels };
}

function stretches({ spans }: FitProblem, drill: FitDrill, inOrder: boolean) {
  if (!inOrder) return [{ from: -Infinity, to: 0, turns: 1 }];
  const all = (drill.place >= 0 ? spans.there[drill.place] : spans.anywhere.at(-1)) ?? [];
  const open = all[drill.calm ? 1 : 0] ?? [];
  return drill.wholePlace ? open.filter((s) => s.whole) : open;
}

/** The bound for one of the capped totals. What is used is rounded down, so that it never promises too little. */
export function capBound(problem: FitProblem, cap: number): LimitBound {
  const { drills } = problem;
  const grid = gridOf(problem);
  const uses = drills.map((d) => d.costs.map((c) => c.uses[cap] as number));
  const gain = uses.reduce((sum, of) => sum + Math.min(0, ...of), 0);
  const loss = uses.reduce((sum, of) => sum + Math.max(0, ...of), 0);
  const size = Math.max(1, Math.ceil((loss - gain) / STEPS));
  const steps = uses.map((of) => of.map((u) => Math.floor(u / size)));
  const lowest = steps.reduce((sum, of) => sum + Math.min(0, ...of), 0);
  const depth = Math.ceil(loss / size) - lowest + 1;
  const { width, levels } = grid;
  // Indexed by drill, then step, then column: the best with no more than so much used, done by then.
  const size2 = width * depth;
  const best = new Float64Array(size2 * (drills.length + 1)).fill(-1);
  best.fill(0, -lowest * width, size2);
  levels.forEach((of, i) => {
    const from = i * size2;
    const to = from + size2;
    best.copyWithin(to, from, to);
    for (const { level, length, least, most, high } of of) {
      const step = steps[i]?.[level] as number;
      for (let s = Math.max(0, step); s < depth; s++) {
        const before = from + Math.min(depth - 1, s - step) * width;
        const row = to + s * width;
        for (let at = least + length; at <= most; at++) {
          const old = best[before + at - length] as number;
          if (old >= 0 && old + high > (best[row + at] as number)) best[row + at] = old + high;
        }
      }
    }
    doneByLater(best, to, depth, width);
  });
  return (before, seconds, left) => {
    const s = Math.min(depth - 1, Math.floor(left / size) - lowest);
    return s < 0 ? -1 : (best[before * size2 + s * width + Math.floor(seconds / grid.column)] as number);
  };
}

/** The bound for continuous general work: what is left is for the run that what comes after goes on with. */
export function generalBound(problem: FitProblem): LimitBound {
  const { drills, generalMost, parts } = problem;
  // Where the order is free, so is what ends a run.
  if (parts.some((p) => p.to - p.from > 1)) return () => Infinity;
  const grid = gridOf(problem);
  const size = Math.max(1, Math.ceil(generalMost / 40));
  const depth = Math.floor(generalMost / size) + 1;
  const { width, levels } = grid;
  const size2 = width * depth;
  // The best whose run so far is exactly so long; then, for asking, no longer than that.
  const exact = new Float64Array(size2 * (drills.length + 1)).fill(-1);
  exact.fill(0, 0, width);
  levels.forEach((of, i) => {
    const from = i * size2;
    const to = from + size2;
    exact.copyWithin(to, from, to);
    const isGeneral = drills[i]?.general ?? false;
    const any = isGeneral ? null : bestOfRuns(exact, from, depth, width);
    for (const { level, length, least, most, high } of of) {
      const run = Math.floor((drills[i]?.costs[level]?.seconds ?? 0) / size);
      const runs = any ? [0] : Array.from({ length: Math.max(0, depth - run) }, (_, g) => g);
      for (const g of runs) {
        const row = to + (any ? 0 : g + run) * width;
        for (let at = least + length; at <= most; at++) {
          const old = any ? (any[at - length] as number) : (exact[from + g * width + at - length] as number);
          if (old >= 0 && old + high > (exact[row + at] as number)) exact[row + at] = old + high;
        }
      }
    }
    doneByLater(exact, to, depth, width);
  });
  for (let i = 0; i <= drills.length; i++) {
    for (let k = i * size2 + width; k < (i + 1) * size2; k++)
      exact[k] = Math.max(exact[k] as number, exact[k - width] as number);
  }
  return (before, seconds, left) => {
    const g = Math.min(depth - 1, Math.floor(left / size));
    return g < 0 ? -1 : (exact[before * size2 + g * width + Math.floor(seconds / grid.column)] as number);
  };
}

/** Done by a moment is done by any later one. */
function doneByLater(best: Float64Array, from: number, depth: number, width: number): void {
  for (let s = 0; s < depth; s++) {
    const row = from + s * width;
    for (let at = row + 1; at < row + width; at++)
      if ((best[at] as number) < (best[at - 1] as number)) best[at] = best[at - 1] as number;
  }
}

function bestOfRuns(exact: Float64Array, from: number, depth: number, width: number): Float64Array {
  const best = new Float64Array(width).fill(-1);
  for (let g = 0; g < depth; g++) {
    for (let at = 0; at < width; at++)
      best[at] = Math.max(best[at] as number, exact[from + g * width + at] as number);
  }
  return best;
}
