import type { ActiveLimits } from "../model/activeLimits";
import { leaderBitsOf } from "../model/leaderBits";
import type { FitProblem, LevelCost } from "../model/problem";
import { amountOf, type Rank } from "../model/rank";
import { has, keyOf, type State } from "../model/state";
import { type Cut, lowered } from "./bundle";
import { bestPath, longestPaths, type Multipliers, type Objective } from "./longestPaths";
import { type Layer, type Network, networkOf } from "./network";

/**
 * The most of a rank of worth that what is still to be decided can add.
 * @param seconds from the earliest beginning to the moment by which it has to be done
 * @param run seconds of continuous general work that what comes after begins with
 * @param left of each cap that is active, what may still be used; of each given rank, how much more there is than
 * is asked for
 * @param enough below this, how much it is exactly does not matter
 */
export type Hope = (seconds: number, run: number, left: Float64Array, enough: number) => number;

/** What partial plans can still hope for, given which drills are still to be decided and the state of what comes after. */
export interface Outlook {
  /** No plan has more of it than this. */
  most: number;
  before(index: number, state: State): Hope;
}

/** Steps of general work, which the bound needs fine; columns of time, of which it needs but one for each drill or so. */
const RUNS = 100;
const LEAST_COLUMNS = 30;

/** How often prices are asked about. All are used: each tells other partial plans apart. */
const ROUNDS = 20;

/** The network of a problem, of use for every outlook on it. */
export function networkFor(problem: FitProblem, { general }: ActiveLimits): Network {
  const columns = Math.max(LEAST_COLUMNS, problem.drills.length);
  return networkOf(problem, general, { columns, runs: RUNS });
}

/**
 * One bound for all limits on totals together: whatever a plan uses of a capped total is paid for at a price (Lagrangian
 * relaxation), so that a single pass over the drills gives the most that any plan within the limits can come to. Prices
 * are sought that make that bound low. What is known of more important ranks has a price in the same way.
 * @param rank of which the most is wanted
 * @param given how much there is of ranks above it
 */
export function outlookOf(
  problem: FitProblem,
  limits: ActiveLimits,
  network: Network,
  rank: Rank,
  given: readonly { rank: Rank; amount: number }[],
): Outlook {
  const { caps } = limits;
  const mosts = [...caps.map((k) => problem.caps[k]?.most ?? 0), ...given.map((g) => -g.amount)];
  const objective = { rank, caps, given: given.map((g) => g.rank) };
  const tables = tablesFor(problem, network, objective, mosts);
  const bits = leaderBitsOf(problem);
  const known = new Map<string, Hope>();
  return {
    most: Math.floor(Math.min(...tables.map((t) => t.bound)) * ROUNDED + 1e-6),
    before(index, state) {
      const key = `${index} ${keyOf(state)}`;
      const hope = known.get(key) ?? hopeFor(problem, network, bits, tables, index, state);
      known.set(key, hope);
      return hope;
    },
  };
}

/** Sums of prices are not exact: so much more is allowed for. */
const ROUNDED = 1 + 1e-12;

function valueWith(value: number, multipliers: Multipliers, amounts: ArrayLike<number>): number {
  let sum = value;
  for (let n = 0; n < multipliers.length; n++) sum += (multipliers[n] as number) * (amounts[n] as number);
  return sum;
}

interface Table {
  multipliers: Multipliers;
  best: Float64Array;
  /** No plan is worth more than this. */
  bound: number;
}

/** The best paths for prices at which the bound is low, those first at which it is lowest. */
function tablesFor(
  problem: FitProblem,
  network: Network,
  objective: Objective,
  mosts: readonly number[],
): Table[] {
  const tables: Table[] = [];
  const ask = (multipliers: Multipliers): { value: number; cut: Cut } => {
    const best = new Float64Array(network.size);
    longestPaths(problem, network, objective, multipliers, best);
    const path = bestPath(problem, network, objective, multipliers, best);
    const slope = mosts.map((most, n) => most - (path.used[n] as number));
    const bound = valueWith(path.value, multipliers, mosts);
    tables.push({ multipliers, best, bound });
    return { value: bound, cut: { slope, height: bound - valueWith(0, multipliers, slope) } };
  };
  const largest = (of: (cost: LevelCost) => number) =>
    Math.max(1, ...problem.drills.flatMap((d) => d.costs.map((c) => Math.abs(of(c)))));
  const scale = [
    ...objective.caps.map((k) => largest((c) => c.uses[k] as number)),
    ...objective.given.map((rank) => largest((c) => amountOf(rank, c.worth.high))),
  ];
  if (scale.length === 0) ask([]);
  else lowered(ask, scale, ROUNDS);
  return tables.sort((a, b) => a.bound - b.bound);
}

function hopeFor(
  problem: FitProblem,
  { layers, width, column, runStep, mostRun, bits: leaderBits }: Network,
  bits: ReadonlyMap<number, number>,
  tables: readonly Table[],
  index: number,
  { place, entry, warm, awaited }: State,
): Hope {
  const { nodes, offset } = layers[index] as Layer;
  const { stepPoints, travel, generalMost } = problem;
  let needed = 0;
  for (const [leader, bit] of bits)
    if (leader < index && has(awaited, bit)) needed |= leaderBits.get(leader) ?? 0;
  const rows = tables.map(({ best, multipliers }) => {
    // By run, then column: the best of all nodes that may come before.
    const row = new Float64Array(width * (mostRun + 1)).fill(-Infinity);
    nodes.forEach((node, n) => {
      if ((warm && node.held) || (node.leaders & needed) !== needed) return;
      if (entry >= 0 && node.effort >= 0 && entry - node.effort > stepPoints) return;
      const way = place >= 0 && node.place >= 0 ? (travel[node.place]?.[place] ?? 0) : 0;
      const shift = Math.floor(way / column);
      const from = offset + n * width - shift;
      const into = node.run * width;
      for (let t = shift; t < width; t++)
        if ((best[from + t] as number) > (row[into + t] as number)) row[into + t] = best[from + t] as number;
    });
    for (let k = width; k < row.length; k++)
      if ((row[k] as number) < (row[k - width] as number)) row[k] = row[k - width] as number;
    return { row, multipliers };
  });
  return (seconds, run, left, enough) => {
    const at = mostRun > 0 ? Math.floor((generalMost - run) / runStep) * width : 0;
    const end = at + Math.floor(seconds / column);
    let lowest = Infinity;
    for (const { row, multipliers } of rows) {
      const value = valueWith(row[end] as number, multipliers, left);
      if (value >= lowest) continue;
      lowest = value;
      if (lowest * ROUNDED + 1e-6 < enough) break;
    }
    return lowest * ROUNDED + 1e-6;
  };
}
