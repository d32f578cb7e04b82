import type { OpenSpan } from "../openSpans";
import type { FitDrill, FitProblem } from "../problem";

/** What of the drills decided so far the next ones may depend on, besides time. */
export interface Node {
  /** Where the last placed drill is done; −1 when that is not known. */
  place: number;
  /** Effort at which the climb was left; −1 when there is none, or it is not known. */
  effort: number;
  /** Steps of continuous general work so far. */
  run: number;
  /** Whether something that ends the wait ends late enough that it is not too long. */
  held: boolean;
  /** A bit for every drill kept that others, still to come, are not done without. */
  leaders: number;
}

/** One drill done at one level after a node. Times in columns. */
export interface Arc {
  from: number;
  to: number;
  level: number;
  /** With it, the wait is not too long. */
  holds: boolean;
  stretches: Stretch[];
}

/** A stretch in which a drill can be done: how long it takes with the way there, and between which columns it may end. */
interface Stretch {
  length: number;
  least: number;
  most: number;
}

/** The stretches for a level, and those of them in which it ends the wait late enough. */
interface Timed {
  stretches: Stretch[];
  late: Stretch[];
}

/** The nodes before a drill, and what becomes of them with it. */
export interface Layer {
  nodes: Node[];
  arcs: Arc[];
  /** The node of the next layer that each node becomes when the drill is left out. */
  skip: number[];
  /** Where its figures begin: node by node, column by column. */
  offset: number;
}

/**
 * The choices there are, from the first drill to the last, with less asked of them than the search asks: times in columns,
 * rounded so that nothing that is possible is lost; no rests where
 * something may fill them, few pairs, no totals.
 */
export interface Network {
  layers: Layer[];
  /** Seconds of a column. */
  column: number;
  /** Columns in all. */
  width: number;
  /** Seconds of a step of general work, and how many there may be at most. */
  runStep: number;
  mostRun: number;
  /** Figures in all. */
  size: number;
  /** The bit of each drill that others are not done without, as far as that is reckoned with. */
  bits: ReadonlyMap<number, number>;
}

/** How fine a network is. */
export interface Fineness {
  columns: number;
  runs: number;
}

/** Least seconds of a column. */
const FINEST = 5;

const WHOLE_DAY: OpenSpan[] = [{ from: -Infinity, to: 0, turns: 1, whole: true }];

/** @param general whether continuous general work is limited */
export function networkOf(problem: FitProblem, general: boolean, { columns, runs }: Fineness): Network {
  const { drills, horizon, parts, generalMost } = problem;
  const column = Math.max(FINEST, Math.ceil(horizon / columns));
  const width = Math.floor(horizon / column) + 1;
  const runStep = general ? runStepOf(problem, runs) : 1;
  const mostRun = general ? Math.floor(generalMost / runStep) : 0;
  const inOrder = new Set(parts.filter((p) => p.to - p.from === 1).map((p) => p.from));
  const bits = leaderBits(drills, inOrder);
  const lastOf = new Map([...bits.keys()].map((leader) => [leader, lastFollower(drills, leader)]));
  const lastResting = drills.findLastIndex((d) => d.resting);
  const layers: Layer[] = [];
  let nodes: Node[] = [{ place: -1, effort: problem.reached, run: 0, held: false, leaders: 0 }];
  let offset = 0;
  drills.forEach((drill, i) => {
    const next = new Numbered();
    // Where the order is free, when and where each is done says nothing of the others.
    const ordered = inOrder.has(i);
    const spans = ordered ? spansOf(problem, drill) : WHOLE_DAY;
    const timesOf = (level: number, way: number): Timed => {
      const cost = drill.costs[level] as FitDrill["costs"][number];
      // Where nothing that comes later can fill it, the rest owed is time like any other; on the way one rests too.
      const rest = ordered && i > lastResting ? Math.max(0, cost.rest - longestWay(problem, i)) : 0;
      const latest = ordered ? Math.min(cost.deadline, -rest) : 0;
      const stretches = spans.map((span): Stretch => {
        const takes = cost.seconds * span.turns + rest;
        return {
          length: Math.floor((takes + way) / column),
          least: Math.max(0, Math.floor((span.from + horizon) / column)) + Math.floor(takes / column),
          most: Math.min(width - 1, Math.floor((Math.min(span.to, latest) + rest + horizon) / column)),
        };
      });
      const held = Math.max(0, Math.floor((horizon - problem.longestWait + rest) / column));
      const late =
        drill.warming && problem.waitWorth > 0
          ? stretches.map((s) => ({ ...s, least: Math.max(s.least, held) })).filter((s) => s.least <= s.most)
          : [];
      return { stretches, late };
    };
    // What nothing to come asks for is forgotten.
    let asked = 0;
    for (const [leader, bit] of bits) if (leader <= i && (lastOf.get(leader) ?? -1) > i) asked |= bit;
    const needed = drill.leaders.reduce((all, leader) => all | (bits.get(leader) ?? 0), 0);
    const own = bits.get(i) ?? 0;
    const skip = nodes.map((node) => next.numberOf({ ...node, leaders: node.leaders & asked }));
    const timed = new Map<number, Timed[]>();
    const arcs = nodes.flatMap((node, from) => {
      const way = ordered ? wayBetween(problem, node.place, drill.place) : 0;
      const levels = timed.get(way) ?? drill.costs.map((_, level) => timesOf(level, way));
      timed.set(way, levels);
      return drill.costs.flatMap((_, level): Arc[] => {
        if ((node.leaders & needed) !== needed) return [];
        const entered = nodeAfter(problem, drill, level, node, { ordered, general, runStep, mostRun });
        if (!entered) return [];
        const after = { ...entered, leaders: (node.leaders | own) & asked };
        const { stretches, late } = levels[level] as Timed;
        const arc: Arc = { from, to: next.numberOf(after), level, holds: false, stretches };
        if (node.held || late.length === 0) return [arc];
        return [arc, { ...arc, to: next.numberOf({ ...after, held: true }), holds: true, stretches: late }];
      });
    });
    layers.push({ nodes, arcs, skip, offset });
    offset += nodes.length * width;
    nodes = next.nodes;
  });
  layers.push({ nodes, arcs: [], skip: [], offset });
  return { layers, column, width, runStep, mostRun, size: offset + nodes.length * width, bits };
}

/** Seconds of a step of general work: such that lengths are whole steps, unless that would be too many. */
function runStepOf({ drills, generalMost }: FitProblem, most: number): number {
  const lengths = drills.flatMap((d) => (d.general ? d.costs.map((c) => c.seconds) : []));
  const common = lengths.reduce(commonDivisor, 0) || 1;
  return common * Math.max(1, Math.ceil(generalMost / (common * most)));
}

function commonDivisor(a: number, b: number): number {
  return b === 0 ? a : commonDivisor(b, a % b);
}

/** Nodes by the order in which they were met. */
class Numbered {
  readonly nodes: Node[] = [];
  private readonly known = new Map<number, number>();

  numberOf(node: Node): number {
    const key =
      ((((node.place + 1) * 128 + node.effort + 1) * 1024 + node.run) * 2 + Number(node.held)) * 64 +
      node.leaders;
    const old = this.known.get(key);
    if (old !== undefined) return old;
    this.known.set(key, this.nodes.length);
    return this.nodes.push(node) - 1;
  }
}

/** The node after a drill at a level; null when it may not follow. */
function nodeAfter(
  { stepPoints }: FitProblem,
  drill: FitDrill,
  level: number,
  node: Node,
  {
    ordered,
    general,
    runStep,
    mostRun,
  }: { ordered: boolean; general: boolean; runStep: number; mostRun: number },
): Omit<Node, "leaders"> | null {
  const { from, to, rise, seconds } = drill.costs[level] as FitDrill["costs"][number];
  if (drill.technical && rise > stepPoints) return null;
  if (!ordered)
    return {
      place: drill.place >= 0 ? -1 : node.place,
      effort: drill.technical ? -1 : node.effort,
      run: 0,
      held: node.held,
    };
  if (drill.technical && node.effort >= 0 && from - node.effort > stepPoints) return null;
  const run = general && drill.general ? node.run + Math.floor(seconds / runStep) : 0;
  if (run > mostRun) return null;
  return {
    place: drill.place >= 0 ? drill.place : node.place,
    effort: drill.technical ? to : node.effort,
    run,
    held: node.held,
  };
}

/** More drills than this that others are not done without, and the nodes become too many: the others are not reckoned with. */
const MOST_LEADERS = 6;

function leaderBits(drills: readonly FitDrill[], inOrder: ReadonlySet<number>): Map<number, number> {
  const leaders = [...new Set(drills.flatMap((d, i) => (inOrder.has(i) ? d.leaders : [])))];
  const known = leaders.filter((l) => inOrder.has(l) && l < lastFollower(drills, l)).slice(0, MOST_LEADERS);
  return new Map(known.map((leader, n) => [leader, 1 << n]));
}

function lastFollower(drills: readonly FitDrill[], leader: number): number {
  return drills.findLastIndex((d) => d.leaders.includes(leader));
}

/** The longest way that may follow a drill, to where anything later is done or to the start, seconds. */
function longestWay({ travel, drills, startPlace }: FitProblem, index: number): number {
  const later = [startPlace, ...drills.slice(index + 1).map((d) => d.place)].filter((p) => p >= 0);
  // Without a place it is done where the next one is.
  const here = (drills[index] as FitDrill).place;
  return here < 0 ? 0 : Math.max(0, ...later.map((p) => travel[here]?.[p] ?? 0));
}

function wayBetween({ travel }: FitProblem, a: number, b: number): number {
  return a >= 0 && b >= 0 ? (travel[a]?.[b] ?? 0) : 0;
}

function spansOf({ spans }: FitProblem, { place, calm, wholePlace }: FitDrill): OpenSpan[] {
  const all = (place >= 0 ? spans.there[place] : spans.anywhere.at(-1))?.[calm ? 1 : 0] ?? [];
  return wholePlace ? all.filter((s) => s.whole) : all;
}
