import type { Bound } from "../bounds/bound";
import type { Hope, Outlook } from "../bounds/outlook";
import { amountOf, type Rank } from "../model/rank";
import type { State } from "../model/state";
import type { Worth } from "../model/worth";
import type { Fronts } from "./fronts";
import type { Workspace } from "./workspace";

/** What a search for one time drops on the way. */
export interface Narrowing {
  bound: Bound;
  /** Keep only so many labels of each state, those that promise most: quick, and not exact. */
  few?: number;
  /** Drop what cannot come to this much worth. */
  least?: Worth;
  /** Drop what cannot come to each of these within the limits on totals. */
  demands?: readonly Demand[];
}

/** So much of a rank of worth that a plan has to come to. */
export interface Demand {
  rank: Rank;
  least: number;
  outlook: Outlook;
  /** How much there is of the ranks that its outlook is given. */
  given: readonly { rank: Rank; amount: number }[];
}

/** What is left of fronts when hopeless labels are dropped, or only those that promise most are kept. */
export function narrowed(workspace: Workspace, fronts: Fronts, before: number, narrowing: Narrowing): Fronts {
  const { problem, labels, dims } = workspace;
  const { bound, few, least, demands = [] } = narrowing;
  const left = new Map(fronts);
  for (const [key, { state, list }] of fronts) {
    const wait = state.warm ? 0 : problem.waitWorth;
    let kept = list;
    if (least) kept = hopeful(workspace, kept, before, wait, bound, least);
    if (demands.length > 0) {
      const prospects = prospectsOf(demands, before, state);
      kept = kept.filter((id) =>
        canMeet(
          workspace,
          prospects,
          labels.begin[id] as number,
          labels.high[id] as number,
          labels.spent,
          id * dims.many,
        ),
      );
    }
    if (few !== undefined && kept.length > few) kept = promising(workspace, kept, before, bound, few);
    if (kept.length > 0) left.set(key, { state, list: kept });
    else left.delete(key);
  }
  return left;
}

/** A demand, and what labels of one state can hope for. */
export interface Prospect {
  demand: Demand;
  hope: Hope;
  left: Float64Array;
}

/** The demands on labels of one state, the last first: it is the least certain to be met. */
export function prospectsOf(demands: readonly Demand[], before: number, state: State): Prospect[] {
  return demands
    .map((demand) => ({
      demand,
      hope: demand.outlook.before(before, state),
      left: new Float64Array(MOST_PRICED),
    }))
    .reverse();
}

/** Three capped totals, and the ranks above the last. */
const MOST_PRICED = 8;

/**
 * Whether a label can still come to all that is demanded.
 * @param spent figures of labels, of which those of this one begin at `base`
 */
export function canMeet(
  { problem, dims, caps }: Workspace,
  prospects: readonly Prospect[],
  begin: number,
  high: number,
  spent: Int32Array,
  base: number,
): boolean {
  const seconds = problem.horizon + begin;
  const run = dims.general >= 0 ? (spent[base + dims.general] as number) : 0;
  for (const { demand, hope, left } of prospects) {
    for (let n = 0; n < caps.length; n++)
      left[n] = (problem.caps[caps[n] as number]?.most ?? 0) - (spent[base + dims.cap + n] as number);
    for (let n = 0; n < demand.given.length; n++) {
      const { rank, amount } = demand.given[n] as Demand["given"][number];
      left[caps.length + n] = amountOf(rank, high) - amount;
    }
    const missing = demand.least - amountOf(demand.rank, high);
    if (hope(seconds, run, left, missing) < missing) return false;
  }
  return true;
}

/** Those few of a list that promise most with what the drills before can add; of equals the first. */
function promising(
  { problem: { horizon }, labels }: Workspace,
  list: Int32Array,
  before: number,
  bound: Bound,
  few: number,
): Int32Array {
  const { begin, high, low } = labels;
  const best: { n: number; high: number; low: number }[] = [];
  for (let n = 0; n < list.length; n++) {
    const id = list[n] as number;
    const at = bound.at(before, horizon + (begin[id] as number));
    const h = (high[id] as number) + (bound.high[at] as number);
    const l = (low[id] as number) + (bound.low[at] as number);
    let k = best.length;
    while (k > 0 && isLess(best[k - 1] as Worth, h, l)) k--;
    if (k >= few) continue;
    best.splice(k, 0, { n, high: h, low: l });
    best.length = Math.min(best.length, few);
  }
  return Int32Array.from(
    best.map(({ n }) => n).sort((a, b) => a - b),
    (n) => list[n] as number,
  );
}

const isLess = (a: Worth, high: number, low: number): boolean =>
  a.high < high || (a.high === high && a.low < low);

/** The labels of a list that may still come to a worth, with what the drills before can add at most. */
function hopeful(
  { problem: { horizon }, labels }: Workspace,
  list: Int32Array,
  before: number,
  wait: number,
  bound: Bound,
  least: Worth,
): Int32Array {
  const { begin, high, low } = labels;
  const { high: highs, low: lows } = bound;
  const kept = new Int32Array(list.length);
  let many = 0;
  // A loop and no function for each: it goes over every label of a search.
  for (let n = 0; n < list.length; n++) {
    const id = list[n] as number;
    const at = bound.at(before, horizon + (begin[id] as number));
    const hope = (high[id] as number) + (highs[at] as number) + wait;
    if (hope < least.high) continue;
    if (hope === least.high && (low[id] as number) + (lows[at] as number) < least.low) continue;
    kept[many++] = id;
  }
  return kept.slice(0, many);
}
