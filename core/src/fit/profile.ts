import type { PlanBody } from "../plan/plan";
import { type FitContext, LONGEST_DAY, openDay } from "../venue/context";
import { type NamedCulprit, namedCulprit } from "./culprit";
import type { FitProblem } from "./model/problem";
import { problemOf } from "./model/problemOf";
import { essentialNeeds, fullNeeds, type Needs } from "./needs";
import type { OnProgress } from "./search/search";
import type { Solution, SolvedStep } from "./search/solution";
import { solve, solveAt, solveFreely, solveWithin } from "./search/solve";
import { shorterWaits, waitWithin, withLeastWait } from "./shorterWait";

/** The best plan for every time available at once: a slider only looks one up. */
export interface FitProfile extends ProfileTable {
  problem: FitProblem;
}

/** What has to be computed of a profile: plain data, so that a worker can hand it over. */
export interface ProfileTable {
  /** The least wait that it counts with, seconds. */
  leastWait: number;
  /** For less time than `fullWaitFrom`, in which the essentials fit only with a shorter wait: the longest such first. */
  shorter: ShorterTable[];
  fullWaitFrom: number;
  needs: Needs;
  /** What keeps the essentials from ever fitting; null when they fit with enough time. */
  culprit: NamedCulprit | null;
  /** From this many seconds before the start on, plan `i` is the best; the latest first. */
  begins: Int32Array;
  /** Where the steps of plan `i` begin and end in `steps`. */
  offsets: Int32Array;
  /** Drill, level, begin and span of every step of every plan. */
  steps: Int32Array;
}

/** The same with a shorter wait, for times from `from` seconds before the start up to where a longer one is enough. */
export interface ShorterTable extends ProfileTable {
  from: number;
}

const FIELDS = 4;

/**
 * Solves a plan for every time available up to a horizon, in one pass.
 * @param context what the day allows; an open day unless given
 * @param horizonSeconds the longest time that will be asked for
 */
export function profileOf(
  plan: PlanBody,
  context: FitContext = openDay(),
  horizonSeconds: number = LONGEST_DAY,
): FitProfile {
  const problem = problemFor(plan, context, horizonSeconds);
  return { problem, ...withShorter(plan, context, tableFrom(problem, solve(problem))) };
}

/** A table with those for the times in which only a shorter wait leaves room for the essentials. */
function withShorter(plan: PlanBody, context: FitContext, table: ProfileTable): ProfileTable {
  const { needs, culprit } = table;
  const waits = shorterWaits(plan, context);
  const shorter = waits.map(({ wait, from, below }): ShorterTable => {
    const problem = problemFor(withLeastWait(plan, wait), context, below - 1);
    return { from, ...tableOf(problem, solve(problem), { needs, culprit }) };
  });
  return { ...table, shorter, fullWaitFrom: waits[0]?.below ?? 0 };
}

/** The part of a profile that holds for one time available: with the wait that there is room for then. */
export function profileFor(profile: FitProfile, availableSeconds: number): FitProfile {
  const { shorter, problem } = profile;
  const shortest = shorter.at(-1);
  if (!shortest || availableSeconds >= profile.fullWaitFrom) return profile;
  const table = shorter.find((s) => availableSeconds >= s.from) ?? shortest;
  const known = parts.get(table);
  if (known) return known;
  const plan = withLeastWait(problem.plan, table.leastWait);
  const part = { ...table, problem: problemFor(plan, problem.context, problem.horizon) };
  parts.set(table, part);
  return part;
}

const parts = new WeakMap<ProfileTable, FitProfile>();

/** Comparisons after which every time at once is given up: about a second's work. */
const EFFORT = 50_000_000;

/**
 * The same, without the problem it was computed from, which whoever asked for it has.
 * @returns null when several limits on totals bind and every time at once would take too long: each then has to be asked
 * for by itself
 * @example profileTable(plan, openDay(), 3_600) // what a worker sends back: data alone
 */
export function profileTable(
  plan: PlanBody,
  context: FitContext,
  horizonSeconds: number,
  onProgress?: OnProgress,
): ProfileTable | null {
  const problem = problemFor(plan, context, horizonSeconds);
  const solution = solveWithin(problem, EFFORT, onProgress);
  return solution && withShorter(plan, context, tableFrom(problem, solution));
}

/**
 * Returns a table that was computed elsewhere as a profile, with the plan and the day it was computed for.
 * @example fitAt(withTable(plan, openDay(), 3_600, table), 900)
 */
export function withTable(
  plan: PlanBody,
  context: FitContext,
  horizonSeconds: number,
  table: ProfileTable,
): FitProfile {
  return { problem: problemFor(withLeastWait(plan, table.leastWait), context, horizonSeconds), ...table };
}

/**
 * Returns the best plan for one time available alone: sooner than for every time.
 * @example fitAt(profileAt(plan, openDay(), 900), 900)
 */
export function profileAt(
  plan: PlanBody,
  context: FitContext,
  availableSeconds: number,
  onProgress?: OnProgress,
): FitProfile {
  const problem = problemFor(waitWithin(plan, context, availableSeconds), context, availableSeconds);
  return { problem, ...tableFrom(problem, solveAt(problem, onProgress), true) };
}

/**
 * Returns the same, without the problem it was computed from.
 * @example withTable(plan, openDay(), 900, tableAt(plan, openDay(), 900))
 */
export function tableAt(
  plan: PlanBody,
  context: FitContext,
  availableSeconds: number,
  onProgress?: OnProgress,
): ProfileTable {
  const { problem: _, ...table } = profileAt(plan, context, availableSeconds, onProgress);
  return table;
}

/**
 * A plan for one time available in a few milliseconds: the best one when it happens to keep the limits on totals, which
 * it does not look at.
 * @example quickProfileAt(plan, openDay(), 900).isBest // false where a limit on a total binds
 */
export function quickProfileAt(
  plan: PlanBody,
  context: FitContext,
  availableSeconds: number,
): { profile: FitProfile; isBest: boolean } {
  const problem = problemFor(waitWithin(plan, context, availableSeconds), context, availableSeconds);
  const { solution, keepsLimits } = solveFreely(problem);
  return { profile: { problem, ...tableFrom(problem, solution, true) }, isBest: keepsLimits };
}

function problemFor(plan: PlanBody, context: FitContext, horizonSeconds: number): FitProblem {
  return problemOf(plan, context, { horizon: limited(horizonSeconds) });
}

function limited(seconds: number): number {
  return Math.max(0, Math.min(LONGEST_DAY, Math.floor(seconds)));
}

/** A table of solutions, with what is needed at least. */
function tableFrom(problem: FitProblem, solution: Solution, lastOnly = false): ProfileTable {
  // What is needed may be more than the horizon, and the wait gives way before the essentials do.
  const { plan, context } = problem;
  const shortest = plan.wait.shortestSeconds ?? plan.wait.leastSeconds;
  const whole = problemOf(withLeastWait(plan, shortest), context);
  const isSame = shortest === plan.wait.leastSeconds;
  const needs: Needs = {
    essentials: essentialNeeds(whole),
    full: fullNeeds(isSame ? whole : problemOf(plan, context)),
  };
  const culprit = Number.isFinite(needs.essentials) ? null : namedCulprit(whole, needs, LONGEST_DAY);
  return tableOf(problem, solution, { needs, culprit }, lastOnly);
}

function tableOf(
  problem: FitProblem,
  solution: Solution,
  about: Pick<ProfileTable, "needs" | "culprit">,
  lastOnly = false,
): ProfileTable {
  const { length } = solution.begins;
  const first = lastOnly ? length - 1 : 0;
  const plans = Array.from({ length: length - first }, (_, i) => solution.stepsOf(first + i));
  const offsets = new Int32Array(plans.length + 1);
  plans.forEach((steps, i) => {
    offsets[i + 1] = (offsets[i] as number) + steps.length * FIELDS;
  });
  const all = new Int32Array(offsets.at(-1) ?? 0);
  plans.forEach((steps, i) => {
    steps.forEach(({ drill, level, begin, span }, k) => {
      all.set([drill, level, begin, span], (offsets[i] as number) + k * FIELDS);
    });
  });
  return {
    ...about,
    leastWait: problem.leastWait,
    shorter: [],
    fullWaitFrom: 0,
    begins: solution.begins.slice(first),
    offsets,
    steps: all,
  };
}

/** The steps of the best plan that begins no earlier than some seconds before the start, earliest first. */
export function stepsAt({ begins, offsets, steps }: FitProfile, availableSeconds: number): SolvedStep[] {
  let low = 0;
  let high = begins.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (-(begins[middle] as number) <= availableSeconds) low = middle + 1;
    else high = middle;
  }
  const plan = low - 1;
  if (plan < 0) return [];
  const found: SolvedStep[] = [];
  for (let at = offsets[plan] as number; at < (offsets[plan + 1] as number); at += FIELDS) {
    const [drill, level, begin, span] = steps.subarray(at, at + FIELDS) as unknown as [
      number,
      number,
      number,
      number,
    ];
    found.push({ drill, level, begin, span });
  }
  return found;
}
