import { boundOf } from "../bounds/bound";
import { networkFor, outlookOf } from "../bounds/outlook";
import { type ActiveLimits, allLimits, howMany, isAny, NO_LIMITS, withMore } from "../model/activeLimits";
import type { FitProblem } from "../model/problem";
import { WHOLE } from "../model/rank";
import type { Worth } from "../model/worth";
import { brokenLimits } from "./brokenLimits";
import { solveLimited, type Ways } from "./limited";
import { type OnProgress, search, TooMuchWork } from "./search";
import type { Solution } from "./solution";

/**
 * Finds the best plan for every time available, exactly: by dynamic programming from the start backwards, drill by
 * drill, keeping every partial plan that no other beats in all that the rest may depend on (when it begins, what it is
 * worth, where it is, at which effort it enters the climb, what it has spent of what is limited).
 * @param onProgress told how far it is
 */
export function solve(problem: FitProblem, onProgress?: OnProgress): Solution {
  return asLimited(problem, (limits, onProgress) => search(problem, limits, null, { onProgress }), {
    onProgress,
  });
}

/**
 * The same, given up when it would take too long: with several limits on totals that bind there can be very many
 * partial plans worth keeping.
 * @returns null when it was given up
 */
export function solveWithin(problem: FitProblem, within: number, onProgress?: OnProgress): Solution | null {
  try {
    return asLimited(problem, (limits, onProgress) => search(problem, limits, null, { onProgress, within }), {
      onProgress,
    });
  } catch (error) {
    if (error instanceof TooMuchWork) return null;
    throw error;
  }
}

/** How many labels of a state are kept when a good plan is wanted quickly, not the best. */
const FEW = 12;

/**
 * Finds the best plan for one time available, exactly, and sooner than for every time: a quick search finds a good
 * plan first, and partial plans that can no longer be worth as much are dropped.
 * @param onProgress told how far it is
 * @param ways how it goes about limits on totals; the same comes of all of them
 * @returns the best plan is its last
 */
export function solveAt(problem: FitProblem, onProgress?: OnProgress, ways?: Ways): Solution {
  return asLimited(problem, searchAt(problem, ways), { lastOnly: true, onProgress });
}

/** The best plan for one time as if there were no limits on totals, in no time, and whether it keeps them all the same. */
export function solveFreely(problem: FitProblem): { solution: Solution; keepsLimits: boolean } {
  const solution = searchAt(problem)(NO_LIMITS, undefined);
  return { solution, keepsLimits: !isAny(brokenLimits(problem, NO_LIMITS, solution, true)) };
}

/**
 * Finds the plan that begins latest of all that come to some worth: partial plans that cannot are dropped.
 * @param least what it must come to, which no plan is worth more than
 * @returns that plan alone; none when nothing comes to so much
 */
export function solveLatest(problem: FitProblem, least: Worth): Solution {
  const bound = boundOf(problem);
  const attempt: Attempt = (limits) => {
    if (!isAny(limits)) return search(problem, limits, { bound, least });
    const outlook = outlookOf(problem, limits, networkFor(problem, limits), WHOLE, []);
    return search(problem, limits, {
      bound,
      least,
      demands: [{ rank: WHOLE, least: least.high, outlook, given: [] }],
    });
  };
  return asLimited(problem, attempt, { lastOnly: true });
}

/**
 * A search for one time. Without limits on totals, twice: for a good plan, and for the best with what cannot come to that
 * dropped.
 */
function searchAt(problem: FitProblem, ways?: Ways): Attempt {
  const bound = boundOf(problem);
  return (limits, onProgress) => {
    if (isAny(limits)) return solveLimited(problem, limits, bound, onProgress, ways);
    const good = search(problem, limits, { bound, few: FEW });
    const least = { high: good.high.at(-1) ?? 0, low: good.low.at(-1) ?? 0 };
    return search(problem, limits, { bound, least }, { onProgress });
  };
}

type Attempt = (limits: ActiveLimits, onProgress: OnProgress | undefined) => Solution;

interface Wish {
  /** Only the last plan is wanted. */
  lastOnly?: boolean;
  onProgress?: OnProgress | undefined;
}

/**
 * Solves without any limit on totals first, and with those that the answer breaks after that, until it breaks none: an
 * answer that is best with fewer rules and keeps them all is best with all of them. Few limits ever bind, and each that
 * is counted makes many more partial plans worth keeping.
 */
function asLimited(problem: FitProblem, attempt: Attempt, { lastOnly = false, onProgress }: Wish): Solution {
  const hasLimits = problem.caps.length > 0 || Number.isFinite(problem.generalMost);
  let limits = NO_LIMITS;
  for (let k = 0; ; k++) {
    const report =
      onProgress && hasLimits ? (progress: number) => onProgress(progressOfAll(k, progress)) : onProgress;
    const solution = attempt(limits, report);
    const broken = brokenLimits(problem, limits, solution, lastOnly);
    if (!isAny(broken)) return solution;
    // Where one more is broken than the first, all of them are put in: an answer takes longer than one more limit.
    limits = withMore(limits, k === 0 && howMany(broken) === 1 ? broken : allLimits(problem));
  }
}

/** The first attempt takes no time, the second most of it, and nobody knows how many more there are. */
const FIRST = 0.1;
const REST = 0.4;

/** How far all is when one attempt is so far: never less than before, and never all before the end. */
function progressOfAll(attempt: number, progress: number): number {
  const after = (k: number) => (k < 0 ? 0 : 1 - (1 - FIRST) * REST ** k);
  return after(attempt - 1) + (after(attempt) - after(attempt - 1)) * progress;
}
