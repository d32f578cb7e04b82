import type { Bound } from "./bound";
import type { LimitBound } from "./limitBound";
import type { Fronts } from "./state";
import type { Workspace } from "./workspace";
import type { Worth } from "./worth";

/** What a search for one time drops on the way. */
export interface Narrowing {
  bound: Bound;
  /** The same for each limit kept an eye on, in the order of their figures. */
  bounds: LimitBound[];
  /** Keep only so many labels of each state, those that promise most: quick, and not exact. */
  few?: number;
  /** Drop what cannot come to this much worth. */
  least?: Worth;
}

/** What is left of fronts when hopeless labels are dropped, or only those that promise most are kept. */
export function narrowed(workspace: Workspace, fronts: Fronts, before: number, narrowing: Narrowing): Fronts {
  const { problem, labels, dims } = workspace;
  const { bound, bounds, few, least } = narrowing;
  const left = new Map(fronts);
  for (const [key, { state, list }] of fronts) {
    const extra = state.warm ? 0 : problem.waitWorth;
    const hopes = (id: number): Worth => {
      const seconds = problem.horizon + (labels.begin[id] as number);
      const at = bound.at(before, seconds);
      let high = bound.high[at] as number;
      let low = bound.low[at] as number;
      bounds.forEach((of, n) => {
        const spent = labels.spent[id * dims.many + dims.many - bounds.length + n] as number;
        const limited = of(before, seconds, allowed(workspace, n) - spent);
        if (limited >= high) return;
        high = limited;
        low = Infinity;
      });
      return {
        high: high < 0 ? -1 : (labels.high[id] as number) + high + extra,
        low: (labels.low[id] as number) + low,
      };
    };
    let kept = list;
    if (least) kept = list.filter((id) => !isLess(hopes(id), least));
    else if (few !== undefined && list.length > few) {
      const promises = Array.from(list, (id, n) => ({ n, id, ...hopes(id) }));
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

/** How much of a limit there is, for the limits kept an eye on in the order of their figures. */
function allowed({ problem, dims, caps }: Workspace, n: number): number {
  const k = dims.general >= 0 ? n - 1 : n;
  return k < 0 ? problem.generalMost : (problem.caps[caps[k] as number]?.most ?? 0);
}

function isLess(a: Worth, b: Worth): boolean {
  return a.high < b.high || (a.high === b.high && a.low < b.low);
}
