import type { ActiveLimits } from "../model/activeLimits";
import { leaderBitsOf } from "../model/leaderBits";
import { busyTimes } from "../model/openings";
import type { FitDrill, FitProblem } from "../model/problem";
import { type Ahead, aheadsOf } from "./ahead";
import { BucketCollector } from "./bucketCollector";
import type { Collector } from "./collector";
import { Labels, Merges } from "./labels";
import { type Reaches, reachesOf } from "./reach";
import { SortingCollector } from "./sortingCollector";

/** Rests, rest owed before the start, general work, then the caps: which figures are kept of a label, and where. */
export interface Dims {
  rest: number;
  owed: number;
  general: number;
  cap: number;
  many: number;
}

/** What one search works with. */
export interface Workspace {
  problem: FitProblem;
  labels: Labels;
  collector: Collector;
  dims: Dims;
  /** Indices of the caps that are active, in the order of their figures. */
  caps: readonly number[];
  busy: { from: number; to: number }[];
  longestRest: number;
  /** The bit of each drill that others must follow. */
  bits: Map<number, number>;
  merges: Merges;
  /** Up to which efforts the drills before each block may lead. */
  reaches: Reaches;
  /** What the drills before each index can still add. */
  aheads: readonly Ahead[];
  /** The most comparisons of labels, and the most labels. */
  within: number;
  most: number;
}

/** Sets up a search with some of the limits on totals active. */
export function workspaceFor(
  problem: FitProblem,
  { owed, general, caps }: ActiveLimits,
  { within, most }: { within: number; most: number },
): Workspace {
  const { drills } = problem;
  const longestRest = Math.max(0, ...drills.flatMap((d) => d.costs.map((c) => c.rest)));
  // Where nothing that is itself rest comes after a drill that owes one, the next work is simply the next drill.
  const lastResting = Math.max(
    -1,
    ...problem.blocks.map((p, n) => (anyIn(drills, p, (d) => d.resting) ? n : -1)),
  );
  const owing = problem.blocks.slice(0, lastResting + 1);
  const rests = owing.some((p) => anyIn(drills, p, (d) => d.costs.some((c) => c.rest > 0)));
  const dims = {
    rest: rests ? 0 : -1,
    owed: owed ? Number(rests) : -1,
    general: general ? Number(rests) + Number(owed) : -1,
    cap: Number(rests) + Number(owed) + Number(general),
    many: Number(rests) + Number(owed) + Number(general) + caps.length,
  };
  const labels = new Labels(dims.many);
  // The first label is the start itself.
  labels.parent[labels.count++] = -1;
  return {
    problem,
    labels,
    caps,
    collector: dims.many === 0 ? new BucketCollector(labels, problem.horizon) : new SortingCollector(labels),
    dims,
    busy: busyTimes(problem.points),
    longestRest,
    bits: leaderBitsOf(problem),
    merges: new Merges(labels),
    reaches: reachesOf(problem),
    aheads: aheadsOf(problem),
    within,
    most,
  };
}

function anyIn(
  drills: readonly FitDrill[],
  { from, to }: { from: number; to: number },
  is: (d: FitDrill) => boolean,
) {
  return drills.slice(from, to).some(is);
}
