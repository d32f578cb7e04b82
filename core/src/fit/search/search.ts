import type { ActiveLimits } from "../model/activeLimits";
import type { Opening } from "../model/openings";
import type { FitDrill, FitProblem, LevelCost } from "../model/problem";
import { has, keyOf, type State } from "../model/state";
import type { Ahead } from "./ahead";
import { BucketCollector } from "./bucketCollector";
import { type Front, type Fronts, inOrder } from "./fronts";
import { Labels, mergeLists, Sieve } from "./labels";
import { canMeet, type Narrowing, narrowed, type Prospect, prospectsOf } from "./narrow";
import { latestEnd, type Placing } from "./placing";
import { entryIn } from "./reach";
import { type Solution, solutionOf } from "./solution";
import { canBeMended, type Spent, spend } from "./spending";
import { type Workspace, workspaceFor } from "./workspace";

/** Told after every block of the plan: how much of it is decided, from 0 to 1. */
export type OnProgress = (progress: number) => void;

/** How a search is to go about it. */
export interface SearchOptions {
  onProgress?: OnProgress | undefined;
  /** The most comparisons of labels; no limit unless given. */
  within?: number | undefined;
  /** The most labels kept; no limit unless given. */
  most?: number | undefined;
}

/** A search was given up because it would take too long. */
export class TooMuchWork extends Error {}

/**
 * One pass from the start backwards, drill by drill, keeping every partial plan that no other beats in all that the rest
 * may depend on.
 * @param limits those on totals that are active
 * @param narrowing what is dropped on the way; null to drop nothing
 * @throws {TooMuchWork} when it takes more than `within` or `most`
 */
export function search(
  problem: FitProblem,
  limits: ActiveLimits,
  narrowing: Narrowing | null,
  { onProgress, within = Infinity, most = Infinity }: SearchOptions = {},
): Solution {
  const workspace = workspaceFor(problem, limits, { within, most });
  const { labels } = workspace;
  const start: State = { place: problem.startPlace, entry: -1, coldFrom: -1, warm: false, awaited: 0 };
  let fronts: Fronts = new Map([[keyOf(start), { state: start, list: Int32Array.of(0) }]]);
  for (let p = problem.blocks.length - 1; p >= 0; p--) {
    const block = problem.blocks[p] as { from: number; to: number };
    fronts = forgetful(workspace, goThrough(workspace, block, fronts, narrowing), p);
    if (narrowing) fronts = narrowed(workspace, fronts, block.from, narrowing);
    onProgress?.(1 - p / problem.blocks.length);
  }
  return solutionOf(
    labels,
    bestOf(
      labels,
      inOrder(fronts).filter((f) => goesOn(problem, f)),
    ),
  );
}

/** Whether a plan goes on from the effort that a warm-up under way has reached, or else from nothing. */
function goesOn({ reached, stepPoints }: FitProblem, { state: { entry, coldFrom } }: Front): boolean {
  const from = reached < 0 ? coldFrom : reached;
  return from < 0 || entry < 0 || entry - from <= stepPoints;
}

/** All the ways through one block: which drills of it, at which level, and in which order where that is free. */
function goThrough(
  workspace: Workspace,
  block: { from: number; to: number },
  fronts: Fronts,
  narrowing: Narrowing | null,
): Fronts {
  const { drills } = workspace.problem;
  const all = Array.from({ length: block.to - block.from }, (_, k) => block.from + k);
  const free = all.filter((i) => drills[i]?.free);
  const fixed = all.filter((i) => !drills[i]?.free);
  const ahead = workspace.aheads[free.length > 0 ? block.to : block.from] as Ahead;
  const everyFree = 2 ** free.length - 1;
  // Nodes by how many of the fixed drills are still to be decided, and which of the free ones are already kept.
  let row: (Fronts | undefined)[] = [fronts];
  for (let left = fixed.length; left >= 0; left--) {
    for (let kept = 0; kept <= everyFree; kept++) {
      const here = row[kept];
      if (!here) continue;
      free.forEach((drill, n) => {
        if (kept & (1 << n)) return;
        const to = kept | (1 << n);
        row[to] = keep(workspace, drill, here, ahead, row[to] ?? new Map(), null);
      });
    }
    if (left === 0) break;
    const drill = fixed[left - 1] as number;
    row = row.map(
      (here) => here && keep(workspace, drill, here, ahead, here, free.length > 0 ? null : narrowing),
    );
  }
  return row.reduce<Fronts>((into, here) => (here ? joined(workspace, into, here) : into), new Map());
}

/** Keeps a drill, at every level, before everything in `fronts`, and puts what comes of it beside what is in `into`. */
function keep(
  workspace: Workspace,
  index: number,
  fronts: Fronts,
  ahead: Ahead,
  into: Fronts,
  narrowing: Narrowing | null,
): Fronts {
  const { problem, bits, collector } = workspace;
  const drill = problem.drills[index] as FitDrill;
  const result = new Map(into);
  for (const group of sameBut(fronts, drill.leads)) {
    const { state } = group[0] as Front;
    const next = nextState(bits, index, drill, state);
    const key = keyOf(next);
    const prospects = prospectsOf(narrowing?.demands ?? [], index, next);
    const old = result.get(key);
    if (old) collector.load(old.list);
    for (const [to, levels] of levelsByTop(drill, problem.stepPoints)) {
      const before = drill.leads
        ? group.filter((f) => f.state.entry < 0 || f.state.entry - to <= problem.stepPoints)
        : group;
      const list = workspace.merges.of(before.map((f) => f.list));
      for (const level of levels)
        prepend(
          workspace,
          { drill, level, cost: drill.costs[level] as LevelCost, state, ahead, prospects },
          list,
        );
    }
    const list = collector.drain(index);
    if (workspace.labels.comparisons > workspace.within || workspace.labels.count > workspace.most)
      throw new TooMuchWork();
    if (list.length > 0) result.set(key, { state: next, list });
  }
  return result;
}

/** Fronts in groups that differ at most in where the climb is entered, when that is about to change. */
function sameBut(fronts: Fronts, leads: boolean): Front[][] {
  if (!leads) return inOrder(fronts).map((f) => [f]);
  const groups = new Map<string, Front[]>();
  for (const front of inOrder(fronts)) {
    const key = keyOf({ ...front.state, entry: -1, coldFrom: -1 });
    const group = groups.get(key);
    if (group) group.push(front);
    else groups.set(key, [front]);
  }
  // Where the climb is entered anew changes from drill to drill, and so do those with no entry left to keep to.
  return [...groups.values()].map((g) =>
    g.sort((a, b) => (a.state.entry < 0 ? 1 : b.state.entry < 0 ? -1 : a.state.entry - b.state.entry)),
  );
}

/** Levels by the effort they leave the climb at, without those whose own rungs are too steep a step apart. */
function levelsByTop({ climbs, leads, costs }: FitDrill, points: number): Map<number, number[]> {
  const byTop = new Map<number, number[]>();
  costs.forEach(({ rise, to }, level) => {
    if (climbs && rise > points) return;
    const top = leads ? to : 0;
    const same = byTop.get(top);
    if (same) same.push(level);
    else byTop.set(top, [level]);
  });
  return byTop;
}

function nextState(bits: ReadonlyMap<number, number>, index: number, drill: FitDrill, state: State): State {
  let { awaited } = state;
  const own = bits.get(index);
  if (own !== undefined && has(awaited, own)) awaited -= own;
  for (const leader of drill.leaders) {
    const bit = bits.get(leader);
    if (bit !== undefined && !has(awaited, bit)) awaited += bit;
  }
  return {
    place: drill.place >= 0 ? drill.place : state.place,
    ...entryBefore(drill, state),
    warm: state.warm || drill.warming,
    awaited,
  };
}

/** Where the climb is entered with one drill more: by it, led up to by it, or as it was. */
function entryBefore({ climbs, leads, costs, coldFrom }: FitDrill, state: State) {
  if (climbs) return { entry: costs[0]?.from ?? -1, coldFrom };
  return leads ? { entry: -1, coldFrom: -1 } : { entry: state.entry, coldFrom: state.coldFrom };
}

interface Prepending extends Spent {
  level: number;
  state: State;
  /** What is demanded of it, and what it can hope for. */
  prospects: readonly Prospect[];
}

/** Offers one drill at one level before each label of a list, as late as can be. What cannot hold is left away. */
function prepend(workspace: Workspace, what: Prepending, list: Int32Array): void {
  const { problem, labels, dims, collector } = workspace;
  const { drill, level, cost, state, prospects } = what;
  const { seconds } = cost;
  const placing = placingOf(workspace, what);
  const makesWait = drill.warming && !state.warm;
  const { high: addHigh, low: addLow } = cost.worth;
  if (collector instanceof BucketCollector && !makesWait) {
    collector.addAll(list, placing, seconds, cost.worth, level);
    return;
  }
  for (let n = 0; n < list.length; n++) {
    const id = list[n] as number;
    const next = labels.begin[id] as number;
    const ready = dims.rest < 0 ? next : -(labels.spent[id * dims.many + dims.rest] as number);
    let end = latestEnd(placing, next, ready);
    if (dims.owed >= 0 && cost.owes > 0)
      end = Math.min(end, -cost.owes - (labels.spent[id * dims.many + dims.owed] as number));
    const open = placing.openings.find((s) => Math.min(end, s.to) - seconds * s.turns >= s.from);
    if (!open) continue;
    const finish = Math.min(end, open.to);
    const takes = seconds * open.turns;
    const begin = finish - takes;
    if (dims.many > 0 && !spend(workspace, what, id, { begin, end: finish, ready })) continue;
    let high = (labels.high[id] as number) + addHigh;
    if (makesWait && finish >= -problem.longestWait) high += problem.waitWorth;
    if (prospects.length > 0 && !canMeet(workspace, prospects, begin, high, collector.spentOf, 0)) continue;
    collector.add(begin, takes, high, (labels.low[id] as number) + addLow, id, level);
  }
}

function placingOf({ problem, busy }: Workspace, { drill, cost, state }: Prepending): Placing {
  const openings = openingsFor(problem, drill, state.place);
  return {
    way: drill.place >= 0 && state.place >= 0 ? (problem.travel[drill.place]?.[state.place] ?? 0) : 0,
    busy,
    deadline: cost.deadline,
    rest: cost.rest,
    openings: drill.wholePlace ? openings.filter((s) => s.whole) : openings,
  };
}

function openingsFor({ openings }: FitProblem, drill: FitDrill, place: number): Opening[] {
  const all =
    drill.place >= 0 ? openings.there[drill.place] : (openings.anywhere[place] ?? openings.anywhere.at(-1));
  return all?.[drill.calm ? 1 : 0] ?? [];
}

/** After the n-th block: what can no longer matter is forgotten, so that more can be compared; what cannot be mended is dropped. */
function forgetful(workspace: Workspace, fronts: Fronts, n: number): Fronts {
  const { problem, bits, reaches } = workspace;
  const block = problem.blocks[n] as { from: number; to: number };
  const before = problem.drills.slice(0, block.from);
  const placed = before.some((d) => d.place >= 0) || problem.points.some((p) => p.place >= 0);
  const ahead = workspace.aheads[block.from] as Ahead;
  const mine = Array.from({ length: block.to - block.from }, (_, k) => bits.get(block.from + k) ?? 0);
  let result: Fronts = new Map();
  for (const { state, list } of inOrder(fronts)) {
    if (mine.some((bit) => bit > 0 && has(state.awaited, bit))) continue;
    // What counted on a drill that was left out in the end.
    const left = workspace.caps.length > 0 ? list.filter((id) => canBeMended(workspace, id, ahead)) : list;
    if (left.length === 0) continue;
    const next = {
      ...state,
      ...entryIn(state, reaches[n] ?? [], problem),
      place: placed ? state.place : -1,
    };
    result = joined(workspace, result, new Map([[keyOf(next), { state: next, list: left }]]));
  }
  return result;
}

/** In the end only the beginning and the worth are compared. */
function bestOf(labels: Labels, fronts: readonly Front[]): Int32Array {
  const only = Object.assign(new Labels(0), { begin: labels.begin, high: labels.high, low: labels.low });
  const all = fronts.reduce<Int32Array>(
    (merged, { list }) => mergeLists(only, merged, list),
    new Int32Array(0),
  );
  const sieve = new Sieve(only, all.length);
  for (let n = 0; n < all.length; n++) sieve.offer(all[n] as number);
  return sieve.list();
}

function joined({ labels }: Workspace, into: Fronts, more: Fronts): Fronts {
  for (const [key, front] of more) {
    const old = into.get(key);
    into.set(key, old ? { state: old.state, list: mergeLists(labels, old.list, front.list) } : front);
  }
  return into;
}
