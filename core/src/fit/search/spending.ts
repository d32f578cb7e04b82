import type { FitDrill, LevelCost } from "../model/problem";
import type { Ahead } from "./ahead";
import type { Workspace } from "./workspace";

/** A drill at one level, and what is still to come before it. */
export interface Spent {
  drill: FitDrill;
  cost: LevelCost;
  ahead: Ahead;
}

/**
 * Computes what is spent with one drill more; false when it is more than is allowed.
 * @param begin when it begins; `end` when it ends; `ready` when the next work after it begins
 */
export function spend(
  workspace: Workspace,
  what: Spent,
  id: number,
  { begin, end, ready }: { begin: number; end: number; ready: number },
): boolean {
  const { problem, labels, dims, caps, longestRest, collector } = workspace;
  const { drill, cost, ahead } = what;
  const spent = collector.spentOf;
  const before = id * dims.many;
  if (dims.rest >= 0) {
    const nextWork = drill.resting ? ready : begin;
    // Further off than the longest rest there is, it makes no difference.
    spent[dims.rest] = -Math.min(nextWork, begin + longestRest);
  }
  if (dims.owed >= 0) {
    const now = labels.spent[before + dims.owed] as number;
    const needed = cost.owes > 0 ? now + cost.owes + end - begin : now;
    // So far from the start that nothing to come can owe more than there is, it makes no difference.
    spent[dims.owed] = Math.max(needed, -begin - ahead.owes);
  }
  if (dims.general >= 0) {
    const now = drill.general ? (labels.spent[before + dims.general] as number) + cost.seconds : 0;
    if (now > problem.generalMost) return false;
    spent[dims.general] = Math.max(now, problem.generalMost - ahead.general, 0);
  }
  for (let n = 0; n < caps.length; n++) {
    const k = caps[n] as number;
    const most = problem.caps[k]?.most ?? 0;
    const now = (labels.spent[before + dims.cap + n] as number) + (cost.uses[k] as number);
    if (now + (ahead.least[k] as number) > most) return false;
    // So far below the cap that nothing to come can pass it, it makes no difference.
    spent[dims.cap + n] = Math.max(now, most - (ahead.most[k] as number));
  }
  return true;
}

/** Whether the drills still to come could bring every cap that is active within its limit. */
export function canBeMended({ problem, labels, dims, caps }: Workspace, id: number, ahead: Ahead): boolean {
  return caps.every(
    (k, n) =>
      (labels.spent[id * dims.many + dims.cap + n] as number) + (ahead.least[k] as number) <=
      (problem.caps[k]?.most ?? 0),
  );
}
