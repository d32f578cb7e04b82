import { Board } from "./board";
import { type Bound, boundOf } from "./bound";
import { type Collector, Heap } from "./heap";
import { Labels, mergeLists, Sieve } from "./labels";
import { capBound, generalBound, type LimitBound } from "./limitBound";
import { busySpans, type OpenSpan } from "./openSpans";
import { latestEnd, type Placing } from "./placing";
import type { FitDrill, FitProblem, LevelCost } from "./problem";
import type { Worth } from "./worth";

/** What the future of a partial plan may ask of its past, besides time: labels of one state are compared. */
interface State {
  /** Where the first placed drill is done; −1 when none is. */
  place: number;
  /** Effort at which the first technical drill enters the climb; −1 when there is none. */
  entry: number;
  /** Whether something that ends the wait is kept. */
  warm: boolean;
  /** A bit for every drill that one of those kept must follow. */
  owed: number;
}

interface Front {
  state: State;
  /** Ids of labels, the latest beginning first. */
  list: Int32Array;
}

type Fronts = Map<string, Front>;

/** A plan kept in part: what begins when, the earliest first. */
export interface SolvedStep {
  drill: number;
  level: number;
  begin: number;
  span: number;
}

/** The best plans there are: each begins earlier and is worth more than the one before. */
export interface Solution {
  begins: Int32Array;
  high: Float64Array;
  low: Float64Array;
  /** The plan of one of them, earliest drill first. */
  stepsOf(index: number): SolvedStep[];
  /** Labels made, for measuring. */
  labels: number;
}

/** Rests, general work, then the caps: which figures are kept of a label, and where. */
interface Dims {
  rest: number;
  general: number;
  cap: number;
  many: number;
}

interface Making {
  problem: FitProblem;
  labels: Labels;
  collector: Collector;
  dims: Dims;
  /** Indices of the caps that are kept an eye on, in the order of their figures. */
  caps: readonly number[];
  busy: { from: number; to: number }[];
  longestRest: number;
  /** The bit of each drill that others must follow. */
  bits: Map<number, number>;
}

/** What the drills still to come can add at least and at most to each cap, and at most to general work. */
interface Ahead {
  least: number[];
  most: number[];
  general: number;
}

/**
 * Finds the best plan for every time available, exactly: by dynamic programming from the start backwards, drill by
 * drill, keeping every partial plan that no other beats in all that the rest may depend on (when it begins, what it is
 * worth, where it is, at which effort it enters the climb, what it has spent of what is limited).
 * @param onPart told how far it is
 */
export function solve(problem: FitProblem, onPart?: OnPart): Solution {
  return asLimited(problem, (limits) => solveWith(problem, limits, null, onPart));
}

/** Told after every part of the plan: how much of it is decided, from 0 to 1. */
export type OnPart = (share: number) => void;

/** How many labels of a state are kept when a good plan is wanted quickly, not the best. */
const FEW = 12;
/** The same where totals are limited: what promises most is then often what cannot be kept. */
const FEW_LIMITED = 100;

/**
 * Finds the best plan for one time available, exactly, and sooner than for every time: a quick search finds a good
 * plan first, and partial plans that can no longer be worth as much are dropped.
 * @returns the best plan is its last
 */
export function solveAt(problem: FitProblem): Solution {
  const bound = boundOf(problem);
  return asLimited(
    problem,
    (limits) => {
      const few = limits.general || limits.caps.length > 0 ? FEW_LIMITED : FEW;
      const bounds = limits.caps.map((k) => capBound(problem, k));
      if (limits.general) bounds.unshift(generalBound(problem));
      const good = solveWith(problem, limits, { bound, bounds, few });
      const least = { high: good.high.at(-1) ?? 0, low: good.low.at(-1) ?? 0 };
      return solveWith(problem, limits, { bound, bounds, least });
    },
    true,
  );
}

/** The limits on totals that are kept an eye on. */
interface Limits {
  general: boolean;
  /** Indices of caps. */
  caps: number[];
}

/**
 * Solves without any limit on totals first, and with those that the answer breaks after that, until it breaks none: an
 * answer that is best with fewer rules and keeps them all is best with all of them. Few limits ever bind, and each that
 * is reckoned with makes many more partial plans worth keeping.
 */
function asLimited(problem: FitProblem, attempt: (limits: Limits) => Solution, lastOnly = false): Solution {
  const limits: Limits = { general: false, caps: [] };
  for (;;) {
    const solution = attempt(limits);
    const broken = brokenLimits(problem, limits, solution, lastOnly);
    if (!broken.general && broken.caps.length === 0) return solution;
    limits.general ||= broken.general;
    limits.caps = [...limits.caps, ...broken.caps].sort();
  }
}

/** Which of the limits not kept an eye on are broken by any of the plans, or by the last. */
function brokenLimits(problem: FitProblem, limits: Limits, solution: Solution, lastOnly: boolean): Limits {
  const open = problem.caps.map((_, k) => k).filter((k) => !limits.caps.includes(k));
  const asks = Number.isFinite(problem.generalMost) && !limits.general;
  const broken: Limits = { general: false, caps: [] };
  if (open.length === 0 && !asks) return broken;
  const { length } = solution.begins;
  for (let i = lastOnly ? length - 1 : 0; i < length; i++) {
    const steps = solution.stepsOf(i);
    for (const k of open) {
      const used = steps.reduce((sum, s) => sum + (problem.drills[s.drill]?.costs[s.level]?.uses[k] ?? 0), 0);
      if (used > (problem.caps[k]?.most ?? 0) && !broken.caps.includes(k)) broken.caps.push(k);
    }
    if (asks && longestGeneral(problem, steps) > problem.generalMost) broken.general = true;
  }
  return broken;
}

/** The longest continuous general work of a plan, seconds. */
function longestGeneral({ drills }: FitProblem, steps: readonly SolvedStep[]): number {
  let now = 0;
  let longest = 0;
  for (const { drill, level } of steps) {
    now = drills[drill]?.general ? now + (drills[drill]?.costs[level]?.seconds ?? 0) : 0;
    longest = Math.max(longest, now);
  }
  return longest;
}

interface Dropping {
  bound: Bound;
  /** The same for each limit kept an eye on, in the order of their figures. */
  bounds: LimitBound[];
  /** Keep only so many labels of each state, those that promise most: quick, and not exact. */
  few?: number;
  /** Drop what cannot come to this much worth. */
  least?: Worth;
}

function solveWith(
  problem: FitProblem,
  limits: Limits,
  dropping: Dropping | null,
  onPart?: OnPart,
): Solution {
  const making = prepare(problem, limits);
  const { labels } = making;
  const start: State = { place: problem.startPlace, entry: -1, warm: false, owed: 0 };
  let fronts: Fronts = new Map([[keyOf(start), { state: start, list: Int32Array.of(0) }]]);
  for (let p = problem.parts.length - 1; p >= 0; p--) {
    const part = problem.parts[p] as { from: number; to: number };
    fronts = forgetful(making, goThrough(making, part, fronts), part);
    if (dropping) fronts = sparse(making, fronts, part.from, dropping);
    onPart?.(1 - p / problem.parts.length);
  }
  return solution(labels, bestOf(labels, inOrder(fronts)));
}

/** What is left of fronts when hopeless labels are dropped, or only those that promise most are kept. */
function sparse(making: Making, fronts: Fronts, before: number, dropping: Dropping): Fronts {
  const { problem, labels, dims } = making;
  const { bound, bounds, few, least } = dropping;
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
        const limited = of(before, seconds, allowed(making, n) - spent);
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
function allowed({ problem, dims, caps }: Making, n: number): number {
  const k = dims.general >= 0 ? n - 1 : n;
  return k < 0 ? problem.generalMost : (problem.caps[caps[k] as number]?.most ?? 0);
}

function isLess(a: Worth, b: Worth): boolean {
  return a.high < b.high || (a.high === b.high && a.low < b.low);
}

/** In the end only the beginning and the worth are compared. */
function bestOf(labels: Labels, fronts: readonly Front[]): Int32Array {
  const only = Object.assign(new Labels(0), { begin: labels.begin, high: labels.high, low: labels.low });
  const all = Int32Array.from(fronts.flatMap(({ list }) => [...list]));
  all.sort((a, b) => only.compare(a, b));
  const sieve = new Sieve(only, all.length);
  for (const id of all) sieve.offer(id);
  return sieve.list();
}

function prepare(problem: FitProblem, { general, caps }: Limits): Making {
  const { drills } = problem;
  const longestRest = Math.max(0, ...drills.flatMap((d) => d.costs.map((c) => c.rest)));
  // Where nothing that is itself rest comes after a drill that owes one, the next work is simply the next drill.
  const lastResting = Math.max(
    -1,
    ...problem.parts.map((p, n) => (anyIn(drills, p, (d) => d.resting) ? n : -1)),
  );
  const owing = problem.parts.slice(0, lastResting + 1);
  const rests = owing.some((p) => anyIn(drills, p, (d) => d.costs.some((c) => c.rest > 0)));
  const dims = {
    rest: rests ? 0 : -1,
    general: general ? Number(rests) : -1,
    cap: Number(rests) + Number(general),
    many: Number(rests) + Number(general) + caps.length,
  };
  const leaders = [...new Set(drills.map((d) => d.after).filter((a) => a >= 0))];
  const labels = new Labels(dims.many);
  // The first label is the start itself.
  labels.parent[labels.count++] = -1;
  return {
    problem,
    labels,
    caps,
    collector: dims.many === 0 ? new Board(labels, problem.horizon) : new Heap(labels),
    dims,
    busy: busySpans(problem.points),
    longestRest,
    bits: new Map(leaders.map((leader, n) => [leader, 2 ** n])),
  };
}

function anyIn(
  drills: readonly FitDrill[],
  { from, to }: { from: number; to: number },
  is: (d: FitDrill) => boolean,
) {
  return drills.slice(from, to).some(is);
}

/** All the ways through one part: which drills of it, at which level, and in which order where that is free. */
function goThrough(making: Making, part: { from: number; to: number }, fronts: Fronts): Fronts {
  const { drills } = making.problem;
  const all = Array.from({ length: part.to - part.from }, (_, k) => part.from + k);
  const free = all.filter((i) => drills[i]?.free);
  const fixed = all.filter((i) => !drills[i]?.free);
  const ahead = whatIsAhead(making.problem, free.length > 0 ? part.to : part.from);
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
        row[to] = keep(making, drill, here, ahead, row[to] ?? new Map());
      });
    }
    if (left === 0) break;
    const drill = fixed[left - 1] as number;
    row = row.map((here) => here && keep(making, drill, here, ahead, here));
  }
  return row.reduce<Fronts>((into, here) => (here ? joined(making, into, here) : into), new Map());
}

function has(bits: number, bit: number): boolean {
  return Math.floor(bits / bit) % 2 === 1;
}

/** Keeps a drill, at every level, before everything in `fronts`, and puts what comes of it beside what is in `into`. */
function keep(making: Making, index: number, fronts: Fronts, ahead: Ahead, into: Fronts): Fronts {
  const { problem, bits, collector } = making;
  const drill = problem.drills[index] as FitDrill;
  const result = new Map(into);
  for (const group of sameBut(fronts, drill.technical)) {
    const { state } = group[0] as Front;
    const next = nextState(bits, index, drill, state);
    const key = keyOf(next);
    const old = result.get(key);
    if (old) collector.load(old.list);
    for (const [to, levels] of levelsByTop(drill, problem.stepPoints)) {
      const before = drill.technical
        ? group.filter((f) => f.state.entry < 0 || f.state.entry - to <= problem.stepPoints)
        : group;
      const list = before.reduce<Int32Array>((all, f) => mergeLists(making.labels, all, f.list), NOTHING);
      for (const level of levels)
        prepend(making, { drill, level, cost: drill.costs[level] as LevelCost, state, ahead }, list);
    }
    const list = collector.drain(index);
    if (list.length > 0) result.set(key, { state: next, list });
  }
  return result;
}

const NOTHING: Int32Array = new Int32Array(0);

/** Fronts in groups that differ at most in where the climb is entered, when that is about to change. */
function sameBut(fronts: Fronts, technical: boolean): Front[][] {
  if (!technical) return inOrder(fronts).map((f) => [f]);
  const groups = new Map<string, Front[]>();
  for (const front of inOrder(fronts)) {
    const key = keyOf({ ...front.state, entry: -1 });
    const group = groups.get(key);
    if (group) group.push(front);
    else groups.set(key, [front]);
  }
  return [...groups.values()];
}

/** Levels by the effort they leave the climb at, without those whose own rungs are too steep a step apart. */
function levelsByTop({ technical, costs }: FitDrill, points: number): Map<number, number[]> {
  const byTop = new Map<number, number[]>();
  costs.forEach(({ rise, to }, level) => {
    if (technical && rise > points) return;
    const top = technical ? to : 0;
    const same = byTop.get(top);
    if (same) same.push(level);
    else byTop.set(top, [level]);
  });
  return byTop;
}

function nextState(bits: ReadonlyMap<number, number>, index: number, drill: FitDrill, state: State): State {
  let { owed } = state;
  const own = bits.get(index);
  if (own !== undefined && has(owed, own)) owed -= own;
  const leader = drill.after >= 0 ? bits.get(drill.after) : undefined;
  if (leader !== undefined && !has(owed, leader)) owed += leader;
  return {
    place: drill.place >= 0 ? drill.place : state.place,
    entry: drill.technical ? (drill.costs[0]?.from ?? -1) : state.entry,
    warm: state.warm || drill.warming,
    owed,
  };
}

interface Prepending {
  drill: FitDrill;
  level: number;
  cost: LevelCost;
  state: State;
  ahead: Ahead;
}

/** Offers one drill at one level before each label of a list, as late as can be. What cannot hold is left away. */
function prepend(making: Making, what: Prepending, list: Int32Array): void {
  const { problem, labels, dims, collector } = making;
  const { drill, level, cost, state } = what;
  const { seconds } = cost;
  const placing = placingOf(making, what);
  const makesWait = drill.warming && !state.warm;
  const { high: addHigh, low: addLow } = cost.worth;
  if (collector instanceof Board && !makesWait) {
    collector.addAll(list, placing, seconds, cost.worth, level);
    return;
  }
  for (let n = 0; n < list.length; n++) {
    const id = list[n] as number;
    const next = labels.begin[id] as number;
    const ready = dims.rest < 0 ? next : -(labels.spent[id * dims.many + dims.rest] as number);
    const end = latestEnd(placing, next, ready);
    const open = placing.spans.find((s) => Math.min(end, s.to) - seconds * s.turns >= s.from);
    if (!open) continue;
    const finish = Math.min(end, open.to);
    const takes = seconds * open.turns;
    const begin = finish - takes;
    if (dims.many > 0 && !spend(making, what, id, begin, ready)) continue;
    let high = (labels.high[id] as number) + addHigh;
    if (makesWait && finish >= -problem.longestWait) high += problem.waitWorth;
    collector.add(begin, takes, high, (labels.low[id] as number) + addLow, id, level);
  }
}

function placingOf({ problem, busy }: Making, { drill, cost, state }: Prepending): Placing {
  const spans = spansFor(problem, drill, state.place);
  return {
    way: drill.place >= 0 && state.place >= 0 ? (problem.travel[drill.place]?.[state.place] ?? 0) : 0,
    busy,
    deadline: cost.deadline,
    rest: cost.rest,
    spans: drill.wholePlace ? spans.filter((s) => s.whole) : spans,
  };
}

/** Reckons what is spent with one drill more; false when it is more than is allowed. */
function spend(making: Making, what: Prepending, id: number, begin: number, ready: number): boolean {
  const { problem, labels, dims, caps, longestRest, collector } = making;
  const { drill, cost, ahead } = what;
  const spent = collector.spentOf;
  const before = id * dims.many;
  if (dims.rest >= 0) {
    const nextWork = drill.resting ? ready : begin;
    // Further off than the longest rest there is, it makes no difference.
    spent[dims.rest] = -Math.min(nextWork, begin + longestRest);
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

function spansFor({ spans }: FitProblem, drill: FitDrill, place: number): OpenSpan[] {
  const all = drill.place >= 0 ? spans.there[drill.place] : (spans.anywhere[place] ?? spans.anywhere.at(-1));
  return all?.[drill.calm ? 1 : 0] ?? [];
}

/** What can still be added by the drills before an index. */
function whatIsAhead({ drills, caps }: FitProblem, before: number): Ahead {
  const ahead: Ahead = { least: caps.map(() => 0), most: caps.map(() => 0), general: 0 };
  for (let i = 0; i < before; i++) {
    const { costs, general } = drills[i] as FitDrill;
    caps.forEach((_, k) => {
      const uses = costs.map((c) => c.uses[k] as number);
      ahead.least[k] = (ahead.least[k] as number) + Math.min(0, ...uses);
      ahead.most[k] = (ahead.most[k] as number) + Math.max(0, ...uses);
    });
    if (general) ahead.general += Math.max(...costs.map((c) => c.seconds));
  }
  return ahead;
}

/** After a part: what can no longer matter is forgotten, so that more can be compared; what cannot be mended is dropped. */
function forgetful(making: Making, fronts: Fronts, part: { from: number; to: number }): Fronts {
  const { problem, bits } = making;
  const before = problem.drills.slice(0, part.from);
  const climbs = before.some((d) => d.technical);
  const placed = before.some((d) => d.place >= 0) || problem.points.some((p) => p.place >= 0);
  const ahead = whatIsAhead(problem, part.from);
  const mine = Array.from({ length: part.to - part.from }, (_, k) => bits.get(part.from + k) ?? 0);
  let result: Fronts = new Map();
  for (const { state, list } of inOrder(fronts)) {
    if (mine.some((bit) => bit > 0 && has(state.owed, bit))) continue;
    // What counted on a drill that was left out in the end.
    const left = making.caps.length > 0 ? list.filter((id) => canBeMended(making, id, ahead)) : list;
    if (left.length === 0) continue;
    const next = { ...state, entry: climbs ? state.entry : -1, place: placed ? state.place : -1 };
    result = joined(making, result, new Map([[keyOf(next), { state: next, list: left }]]));
  }
  return result;
}

/** Always in the same order, however they came about, so that of equal plans the same one is chosen. */
function inOrder(fronts: Fronts): Front[] {
  return [...fronts.keys()].sort().map((key) => fronts.get(key) as Front);
}

/** Whether the drills still to come could bring every cap that is kept an eye on within its limit. */
function canBeMended({ problem, labels, dims, caps }: Making, id: number, ahead: Ahead): boolean {
  return caps.every(
    (k, n) =>
      (labels.spent[id * dims.many + dims.cap + n] as number) + (ahead.least[k] as number) <=
      (problem.caps[k]?.most ?? 0),
  );
}

function joined({ labels }: Making, into: Fronts, more: Fronts): Fronts {
  for (const [key, front] of more) {
    const old = into.get(key);
    into.set(key, old ? { state: old.state, list: mergeLists(labels, old.list, front.list) } : front);
  }
  return into;
}

function keyOf({ place, entry, warm, owed }: State): string {
  return `${place},${entry},${warm ? 1 : 0},${owed}`;
}

function solution(labels: Labels, list: Int32Array): Solution {
  return {
    begins: list.map((id) => labels.begin[id] as number),
    high: Float64Array.from(list, (id) => labels.high[id] as number),
    low: Float64Array.from(list, (id) => labels.low[id] as number),
    labels: labels.count,
    stepsOf(index) {
      const steps: SolvedStep[] = [];
      for (let id = list[index] as number; id !== undefined; id = labels.parent[id] as number) {
        if ((labels.parent[id] as number) < 0) break;
        steps.push({
          drill: labels.drill[id] as number,
          level: labels.level[id] as number,
          begin: labels.begin[id] as number,
          span: labels.span[id] as number,
        });
      }
      return steps;
    },
  };
}
