import type { FitDrill, FitProblem } from "../model/problem";
import { amountOf, type Rank } from "../model/rank";
import type { Layer, Network } from "./network";

/** Prices for what is used: of the caps of an objective, then of its given ranks. */
export type Multipliers = readonly number[];

/** What is asked of the drills together: the most of one rank, within the capped totals and with enough of other ranks. */
export interface Objective {
  rank: Rank;
  /** Capped totals, as indices of the problem's. */
  caps: readonly number[];
  /** Ranks of which there has to be enough. */
  given: readonly Rank[];
}

/** What something uses of what has a price: of each cap, and, below 0, of what is asked of each given rank. */
function usedBy({ caps, given }: Objective, high: number, uses: readonly number[]): number[] {
  return [...caps.map((k) => uses[k] ?? 0), ...given.map((rank) => -amountOf(rank, high))];
}

/** Worth less the price of what is used. */
function priced(
  objective: Objective,
  multipliers: Multipliers,
  high: number,
  uses: readonly number[],
): number {
  return usedBy(objective, high, uses).reduce(
    (sum, used, n) => sum - used * (multipliers[n] as number),
    amountOf(objective.rank, high),
  );
}

/** The priced worth of every level of a drill, and of a wait that is not too long. */
function pricesOf(
  { waitWorth }: FitProblem,
  drill: FitDrill,
  objective: Objective,
  multipliers: Multipliers,
) {
  return {
    levels: drill.costs.map(({ worth, uses }) => priced(objective, multipliers, worth.high, uses)),
    wait: priced(objective, multipliers, waitWorth, []),
  };
}

/**
 * The most priced worth with which each node can be reached by each column, by one pass over a network.
 * @param best room for the figures of all layers; overwritten
 */
export function longestPaths(
  problem: FitProblem,
  { layers, width }: Network,
  objective: Objective,
  multipliers: Multipliers,
  best: Float64Array,
): void {
  best.fill(-Infinity);
  best.fill(0, 0, width);
  problem.drills.forEach((drill, i) => {
    const here = layers[i] as Layer;
    const there = layers[i + 1] as Layer;
    const prices = pricesOf(problem, drill, objective, multipliers);
    here.skip.forEach((to, from) => {
      raise(best, here.offset + from * width, there.offset + to * width, 0, width - 1, 0);
    });
    for (const { from, to, level, holds, stretches } of here.arcs) {
      const add = (prices.levels[level] as number) + (holds ? prices.wait : 0);
      const into = there.offset + to * width;
      for (const { length, least, most } of stretches)
        raise(best, here.offset + from * width - length, into, Math.max(least, length), most, add);
    }
    // Done by a moment is done by any later one.
    for (let n = 0; n < there.nodes.length; n++) {
      const row = there.offset + n * width;
      for (let at = row + 1; at < row + width; at++)
        if ((best[at] as number) < (best[at - 1] as number)) best[at] = best[at - 1] as number;
    }
  });
}

function raise(best: Float64Array, from: number, to: number, least: number, most: number, add: number): void {
  for (let t = least; t <= most; t++) {
    const value = (best[from + t] as number) + add;
    if (value > (best[to + t] as number)) best[to + t] = value;
  }
}

/** What the best of all paths comes to, and what it uses of what has a price. */
export function bestPath(
  problem: FitProblem,
  { layers, width }: Network,
  objective: Objective,
  multipliers: Multipliers,
  best: Float64Array,
): { value: number; used: number[] } {
  const end = layers.at(-1) as Layer;
  const valueAt = (layer: Layer, node: number, column: number) =>
    best[layer.offset + node * width + column] as number;
  let node = 0;
  end.nodes.forEach((_, n) => {
    if (valueAt(end, n, width - 1) > valueAt(end, node, width - 1)) node = n;
  });
  const value = valueAt(end, node, width - 1);
  const used = multipliers.map(() => 0);
  const use = (high: number, uses: readonly number[]) => {
    usedBy(objective, high, uses).forEach((amount, n) => {
      used[n] = (used[n] as number) + amount;
    });
  };
  let column = width - 1;
  for (let i = layers.length - 2; i >= 0; i--) {
    const here = layers[i] as Layer;
    const there = layers[i + 1] as Layer;
    while (column > 0 && valueAt(there, node, column - 1) === valueAt(there, node, column)) column--;
    const now = valueAt(there, node, column);
    const skipped = here.skip.findIndex((to, from) => to === node && valueAt(here, from, column) === now);
    if (skipped >= 0) {
      node = skipped;
      continue;
    }
    const drill = problem.drills[i] as FitDrill;
    const prices = pricesOf(problem, drill, objective, multipliers);
    const step = here.arcs
      .filter((arc) => arc.to === node)
      .flatMap((arc) => arc.stretches.map((s) => ({ arc, ...s })))
      .find(
        ({ arc, length, least, most }) =>
          column >= Math.max(least, length) &&
          column <= most &&
          valueAt(here, arc.from, column - length) +
            ((prices.levels[arc.level] as number) + (arc.holds ? prices.wait : 0)) ===
            now,
      );
    if (!step) throw new Error("A path has lost its beginning.");
    const { worth, uses } = drill.costs[step.arc.level] as FitDrill["costs"][number];
    use(worth.high, uses);
    if (step.arc.holds) use(problem.waitWorth, []);
    column -= step.length;
    node = step.arc.from;
  }
  return { value, used };
}
