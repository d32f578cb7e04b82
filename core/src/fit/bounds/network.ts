import { type DrillOpenings, drillOpeningsOf } from "../model/drillOpenings";
import type { FitDrill, FitProblem } from "../model/problem";

/** What of the drills decided so far the next ones may depend on, besides time. */
export interface Node {
  /** Where the last placed drill is done; −1 when that is not known. */
  place: number;
  /** Effort that the climb goes on from; −1 when there is none, or it is not known. */
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
  /** The bit of each drill that others are not done without, as far as that is counted. */
  bits: ReadonlyMap<number, number>;
}

/** How fine a network is. */
export interface Fineness {
  columns: number;
  runs: number;
}

/** Least seconds of a column. */
const FINEST = 5;

type Grid = Pick<Network, "column" | "width" | "runStep" | "mostRun">;

/** @param general whether continuous general work is limited */
export function networkOf(problem: FitProblem, general: boolean, { columns, runs }: Fineness): Network {
  const { drills, horizon, generalMost } = problem;
  const column = Math.max(FINEST, Math.ceil(horizon / columns));
  const runStep = general ? runStepOf(problem, runs) : 1;
  const grid: Grid = {
    column,
    width: Math.floor(horizon / column) + 1,
    runStep,
    mostRun: general ? Math.floor(generalMost / runStep) : 0,
  };
  const when = drillOpeningsOf(problem);
  const bits = leaderBits(drills, when);
  const layers: Layer[] = [];
  let nodes: Node[] = [{ place: -1, effort: problem.reached, run: 0, held: false, leaders: 0 }];
  let offset = 0;
  drills.forEach((_, i) => {
    const next = new Numbered();
    const { ordered } = when[i] as DrillOpenings;
    const keep = {
      problem,
      index: i,
      ordered,
      general,
      grid,
      leads: leadsOf(drills, bits, i),
      timed: timedBy(problem, grid, when[i] as DrillOpenings, i),
    };
    const skip = nodes.map((node) => next.numberOf({ ...node, leaders: node.leaders & keep.leads.asked }));
    const arcs: Arc[] = [];
    nodes.forEach((node, from) => {
      addArcs(keep, node, from, next, arcs);
    });
    layers.push({ nodes, arcs, skip, offset });
    offset += nodes.length * grid.width;
    nodes = next.nodes;
  });
  layers.push({ nodes, arcs: [], skip: [], offset });
  return { layers, ...grid, size: offset + nodes.length * grid.width, bits };
}

/** What keeping a drill depends on, and what comes of it. */
interface Keeping {
  problem: FitProblem;
  index: number;
  ordered: boolean;
  general: boolean;
  grid: Grid;
  leads: Leads;
  timed: (way: number) => Timed[];
}

/** Puts in every way of keeping a drill after one node. */
function addArcs(keep: Keeping, node: Node, from: number, next: Numbered, arcs: Arc[]): void {
  const { problem, index, ordered, leads, timed } = keep;
  if ((node.leaders & leads.needed) !== leads.needed) return;
  const drill = problem.drills[index] as FitDrill;
  const levels = timed(ordered ? wayBetween(problem, node.place, drill.place) : 0);
  const leaders = (node.leaders | leads.own) & leads.asked;
  for (let level = 0; level < levels.length; level++) {
    const after = nodeAfter(keep, drill, level, node);
    if (!after) continue;
    const { stretches, late } = levels[level] as Timed;
    const to = next.numberOf({ ...after, leaders });
    arcs.push({ from, to, level, holds: false, stretches });
    if (node.held || late.length === 0) continue;
    const held = next.numberOf({ ...after, leaders, held: true });
    arcs.push({ from, to: held, level, holds: true, stretches: late });
  }
}

/** The bits that a drill has to do with: its own, those that it needs, and those that drills after it still ask for. */
interface Leads {
  own: number;
  needed: number;
  asked: number;
}

function leadsOf(drills: readonly FitDrill[], bits: ReadonlyMap<number, number>, index: number): Leads {
  let asked = 0;
  for (const [leader, bit] of bits) if (leader <= index && lastFollower(drills, leader) > index) asked |= bit;
  const needed = drills[index]?.leaders.reduce((all, leader) => all | (bits.get(leader) ?? 0), 0) ?? 0;
  return { own: bits.get(index) ?? 0, needed, asked };
}

/** The stretches of every level of a drill, by the seconds of way to it. */
function timedBy(
  problem: FitProblem,
  { column, width }: Grid,
  { ordered, openings, deadlines }: DrillOpenings,
  index: number,
): (way: number) => Timed[] {
  const { horizon, longestWait, waitWorth } = problem;
  const { costs, warming } = problem.drills[index] as FitDrill;
  const isTime = ordered && restIsTime(problem, index);
  const longest = longestWay(problem, index);
  const at = (seconds: number) => Math.floor((seconds + horizon) / column);
  const timedAt = (way: number) =>
    costs.map((cost, level): Timed => {
      // Where nothing that comes later can fill it, the rest owed is time like any other; on the way one rests too.
      const rest = isTime ? Math.max(0, cost.rest - longest) : 0;
      const latest = Math.min(deadlines[level] as number, -rest);
      const stretches = openings.map((opening): Stretch => {
        const takes = cost.seconds * opening.turns + rest;
        return {
          length: Math.floor((takes + way) / column),
          least: Math.max(0, at(opening.from)) + Math.floor(takes / column),
          most: Math.min(width - 1, at(Math.min(opening.to, latest) + rest)),
        };
      });
      if (!warming || waitWorth === 0) return { stretches, late: [] };
      const held = Math.max(0, at(rest - longestWait));
      const late = stretches.map((s) => ({ ...s, least: Math.max(s.least, held) }));
      return { stretches, late: late.filter((s) => s.least <= s.most) };
    });
  const known = new Map<number, Timed[]>();
  return (way) => {
    const timed = known.get(way) ?? timedAt(way);
    known.set(way, timed);
    return timed;
  };
}

/** Whether nothing after a drill can fill the rest that it owes. */
function restIsTime({ drills }: FitProblem, index: number): boolean {
  return index > drills.findLastIndex((d) => d.resting);
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

/** The node after a drill at a level, but for leaders; null when it may not follow. */
function nodeAfter(
  { problem: { stepPoints }, ordered, general, grid: { runStep, mostRun } }: Keeping,
  drill: FitDrill,
  level: number,
  node: Node,
): Omit<Node, "leaders"> | null {
  const { from, to, rise, seconds } = drill.costs[level] as FitDrill["costs"][number];
  const { held } = node;
  if (drill.climbs && rise > stepPoints) return null;
  if (!ordered)
    return {
      place: drill.place >= 0 ? -1 : node.place,
      effort: drill.leads ? -1 : node.effort,
      run: 0,
      held,
    };
  if (drill.climbs && node.effort >= 0 && from - node.effort > stepPoints) return null;
  const run = general && drill.general ? node.run + Math.floor(seconds / runStep) : 0;
  if (run > mostRun) return null;
  return {
    place: drill.place >= 0 ? drill.place : node.place,
    effort: drill.leads ? to : node.effort,
    run,
    held,
  };
}

/** More drills than this that others are not done without, would make too many nodes: the rest is ignored. */
const MOST_LEADERS = 6;

function leaderBits(drills: readonly FitDrill[], when: readonly DrillOpenings[]): Map<number, number> {
  const leaders = [...new Set(drills.flatMap((d, i) => (when[i]?.ordered ? d.leaders : [])))];
  const known = leaders.filter((l) => when[l]?.ordered && l < lastFollower(drills, l)).slice(0, MOST_LEADERS);
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
