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
    const hopes = (id: number): Worth => {
      const at = bound.at(before, problem.horizon + (labels.begin[id] as number));
      return {
        high: (labels.high[id] as number) + (bound.high[at] as number) + wait,
        low: (labels.low[id] as number) + (bound.low[at] as number),
      };
    };
    let kept = list;
    if (least) kept = kept.filter((id) => !isLess(hopes(id), least));
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
    if (few !== undefined && kept.length > few) {
      const promises = Array.from(kept, (id, n) => ({ n, id, ...hopes(id) }));
      promises.sort((a, b) => b.high - a.high || b.low - a.low);
      kept = Int32Array.from(
        promises.slice(0, few).sort((a, b) => a.n - b.n),
        (p) => p.id,
      );
    }
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

function isLess(a: Worth, b: Worth): boolean {
  return a.high < b.high || (a.high === b.high && a.low < b.low);
}
