import type { Bound } from "../bounds/bound";
import { networkFor, type Outlook, outlookOf } from "../bounds/outlook";
import type { ActiveLimits } from "../model/activeLimits";
import type { FitProblem } from "../model/problem";
import { amountOf, downTo, type Rank, WHOLE } from "../model/rank";
import type { Demand } from "./narrow";
import { type OnProgress, search, TooMuchWork } from "./search";
import type { Solution } from "./solution";

/** How a search goes about it: which way is quickest depends on how many labels there are. */
export interface Ways {
  /** No more labels than this, and it takes less time to keep them all than to compute what to drop. */
  few: number;
  /** More labels than this in one go, and the most important rank is better settled by itself first. */
  many: number;
}

const WAYS: Ways = { few: 6_000, many: 300_000 };
/** A first guess is so much below the most that there can be, as a share of it, and each further one so many times as much. */
const FIRST_GAP = 5e-7;
const WIDER = 1.6;
/** And so many times where a go costs much and hardly any more labels come of a wider one. */
const MUCH_WIDER = 2;
const isCostly = (labels: number, before: number) => labels > 4_000 && labels < 1.25 * before;

/**
 * The best plan for one time within limits on totals. A good plan is hard to find there, but the most that any can come to
 * is known closely: a plan worth nearly that is looked for, then one worth less, until there is one, and whatever cannot
 * come to that much is dropped on the way. Where too much could, the most important rank of worth is settled by itself,
 * and the rest is tried again with that known.
 */
export function solveLimited(
  problem: FitProblem,
  limits: ActiveLimits,
  bound: Bound,
  onProgress?: OnProgress,
  { few, many }: Ways = WAYS,
): Solution {
  const next = inGoes(onProgress);
  const all = unlessTooMuch(() => search(problem, limits, { bound }, { onProgress: next(), most: few }));
  if (all) return all;
  const { ranks } = problem;
  const network = networkFor(problem, limits);
  const demands: Demand[] = [];
  /** The best that can be had of a rank when those above it are settled. */
  const best = (rank: Rank, gap: number, of: FitProblem, most: number) => {
    const given = demands.map((d) => ({ rank: d.rank, amount: d.least }));
    const outlook = outlookOf(problem, limits, network, rank, given);
    const demand = (least: number): Demand => ({ rank, least, outlook, given });
    const found = nearMost(outlook, gap * outlook.most, (least) =>
      search(of, limits, { bound, demands: [...demands, demand(least)] }, { onProgress: next(), most }),
    );
    return { found, demand: demand(amountOf(rank, found.high.at(-1) ?? 0)) };
  };
  for (const rank of ranks) {
    const isLast = rank === ranks.at(-1);
    const most = isLast ? Infinity : many;
    const rest = { ...rank, unit: WHOLE.unit };
    const solved = unlessTooMuch(() => best(rest, FIRST_GAP, problem, most).found);
    if (solved) return solved;
    demands.push(best(rank, 0, downToRank(problem, rank), Infinity).demand);
  }
  throw new Error("There is no rank of worth.");
}

/** Nobody knows how many goes there will be: each takes up so much of what is left. */
const GO = 0.15;

/** How far all of it is, told go after go: never less than before, and never all. */
function inGoes(onProgress: OnProgress | undefined): () => OnProgress | undefined {
  let left = 1;
  return () => {
    const before = left;
    left *= 1 - GO;
    return onProgress && ((progress) => onProgress(1 - before + (before - before * (1 - GO)) * progress));
  };
}

/** What comes of it; null when it was given up. */
function unlessTooMuch<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof TooMuchWork) return null;
    throw error;
  }
}

/** The first of ever lower guesses that something comes of. */
function nearMost({ most }: Outlook, first: number, attempt: (least: number) => Solution): Solution {
  let gap = first;
  let labels = 0;
  for (;;) {
    const least = Math.max(0, Math.floor(most - gap));
    const found = attempt(least);
    if (found.begins.length > 0 || least === 0) return found;
    gap = Math.max(gap + 1, gap * (isCostly(found.labels, labels) ? MUCH_WIDER : WIDER));
    labels = found.labels;
  }
}

/** The same drills with nothing of worth below a rank, so that few partial plans differ. */
function downToRank(problem: FitProblem, rank: Rank): FitProblem {
  return {
    ...problem,
    drills: problem.drills.map((drill) => ({
      ...drill,
      costs: drill.costs.map((c) => ({ ...c, worth: { high: downTo(rank, c.worth.high), low: 0 } })),
    })),
  };
}
