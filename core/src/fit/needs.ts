import type { FitProblem } from "./model/problem";
import { WHOLE } from "./model/rank";
import { solveLatest } from "./search/solve";

/** How long before the start a warm-up has to begin at the latest, seconds; Infinity when it never fits. */
export interface Needs {
  /** For every essential drill at its floor; 0 when there is none. */
  essentials: number;
  /** For every drill at its ideal, however long the wait after it. */
  full: number;
}

/**
 * The least time that everything essential, and that everything, needs.
 * @param problem with a horizon as long as time may be
 */
export function needsOf(problem: FitProblem): Needs {
  return { essentials: essentialNeeds(problem), full: fullNeeds(problem) };
}

/** The least time for every drill at its ideal, however long the wait after it. */
export function fullNeeds(problem: FitProblem): number {
  return leastFor(problem, (i) => problem.drills[i]?.ideal ?? Infinity);
}

/** The least time for every essential drill at its floor. */
export function essentialNeeds(problem: FitProblem): number {
  return leastFor(problem, (i) => (problem.drills[i]?.item.priority === "essential" ? 0 : Infinity));
}

/** The least time in which every drill reaches a level: Infinity where it need not be kept at all. */
function leastFor(problem: FitProblem, wanted: (index: number) => number): number {
  let all = 0;
  const drills = problem.drills.map((drill, i) => {
    const level = wanted(i);
    if (Number.isFinite(level)) all++;
    const costs = drill.costs.map((c, k) => ({ ...c, worth: { high: k >= level ? 1 : 0, low: 0 } }));
    return { ...drill, costs };
  });
  if (all === 0) return 0;
  const [begin] = solveLatest(
    { ...problem, drills, waitWorth: 0, ranks: [WHOLE] },
    { high: all, low: 0 },
  ).begins;
  return begin === undefined ? Infinity : -begin;
}
