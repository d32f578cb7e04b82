import type { DoseLevel } from "../dose/terms/level";
import type { PlanBody, PlanItem } from "../plan/plan";
import { type FitContext, openDay } from "../venue/context";
import type { NamedCulprit } from "./culprit";
import { type Idle, idleOf } from "./idle";
import type { FitDrill, FitProblem } from "./model/problem";
import { type FitProfile, profileAt, profileFor, stepsAt } from "./profile";
import type { SolvedStep } from "./search/solution";

/** What became of one drill. */
export type Verdict = "kept" | "lengthened" | "shortened" | "floor" | "left-out";

/** A drill where and as it is done, or left out. */
export interface Placement {
  item: PlanItem;
  /** Index into `levelsOf(item.dose)`, −1 when left out. */
  levelIndex: number;
  level: DoseLevel | null;
  ideal: DoseLevel;
  /** Seconds from the start, negative; where it would stand when left out. */
  beginSeconds: number;
  /** Seconds it takes: more than its level says where turns are taken; 0 when left out. */
  spanSeconds: number;
  verdict: Verdict;
}

/**
 * One word for the whole: everything that matters is in and the wait is not too long, something gave way, or essentials
 * are missing.
 */
export type FitState = "fits" | "tight" | "short";

/** A plan fitted to one time available. */
export interface Fit {
  availableSeconds: number;
  state: FitState;
  /** One per drill: those kept in the order they are done, those left out where the plan has them. */
  placements: Placement[];
  /** Seconds from the start at which the first drill begins, negative; 0 when there is none. */
  beginSeconds: number;
  /** Seconds of drills, rests and turns inside them included. */
  workSeconds: number;
  /** Time between drills and before the start in which nothing is done, in order, with the reasons. */
  idle: Idle[];
  /** From the end of the last drill that keeps the athlete warm to the start, seconds. */
  waitSeconds: number;
  /** How far that wait is over the longest one the coach tolerates, seconds; 0 when it is not. */
  waitOverSeconds: number;
  /** Time available that is not needed: the athlete may begin this much later. */
  spareSeconds: number;
  /** Missing seconds before every essential drill fits at its floor; 0 when they fit, or never will. */
  missingSeconds: number;
  /** True when no amount of time helps: a rule keeps essentials apart, or a window is too short for them. */
  neverFits: boolean;
  /** What is the reason for that; null when there is none. */
  culprit: NamedCulprit | null;
}

/**
 * Fits a plan to the time available before the start: the best level, or none, and a begin time for every drill.
 * @param availableSeconds whole seconds between the earliest beginning and the start; below 0 counts as 0
 * @param context what the day allows; an open day unless given
 * @see profileOf when several times are wanted for one plan
 * @example fitPlan(plan, 25 * MINUTE_SECONDS).placements[0]?.beginSeconds // -1_500 where all of the 25 min are used
 */
export function fitPlan(plan: PlanBody, availableSeconds: number, context: FitContext = openDay()): Fit {
  return fitAt(profileAt(plan, context, availableSeconds), availableSeconds);
}

/**
 * Looks up the best plan for one time available.
 * @param profile made for at least this time
 * @param availableSeconds whole seconds; below 0 counts as 0
 * @example fitAt(profileOf(plan), 900) // the same as fitPlan(plan, 900), without solving anew
 */
export function fitAt(profile: FitProfile, availableSeconds: number): Fit {
  const available = Math.max(0, Math.floor(availableSeconds));
  const part = profileFor(profile, available);
  const { problem, needs } = part;
  const steps = stepsAt(part, available);
  const placements = place(problem, steps);
  const beginSeconds = steps[0]?.begin ?? 0;
  const waitSeconds = waitOf(problem, steps, available);
  const waitOverSeconds = steps.length > 0 ? Math.max(0, waitSeconds - problem.longestWait) : 0;
  return {
    availableSeconds: available,
    state: stateOf(placements, waitOverSeconds),
    placements,
    beginSeconds,
    workSeconds: steps.reduce((sum, s) => sum + s.span, 0),
    idle: idleOf(problem, steps),
    waitSeconds,
    waitOverSeconds,
    spareSeconds: Math.max(0, available - (steps.length > 0 ? -beginSeconds : problem.leastWait)),
    missingSeconds: Number.isFinite(needs.essentials) ? Math.max(0, needs.essentials - available) : 0,
    neverFits: !Number.isFinite(needs.essentials),
    culprit: profile.culprit,
  };
}

function waitOf({ drills, leastWait }: FitProblem, steps: readonly SolvedStep[], available: number): number {
  const last = steps.findLast((s) => drills[s.drill]?.warming) ?? steps.at(-1);
  return last ? -(last.begin + last.span) : Math.min(leastWait, available);
}

function place({ plan: { items }, drills }: FitProblem, steps: readonly SolvedStep[]): Placement[] {
  const placements = steps.map((step): Placement => {
    const drill = drills[step.drill] as FitDrill;
    return {
      item: drill.item,
      levelIndex: step.level,
      level: drill.levels[step.level] ?? null,
      ideal: drill.levels[drill.ideal] as DoseLevel,
      beginSeconds: step.begin,
      spanSeconds: step.span,
      verdict: verdictOf(step.level, drill.ideal),
    };
  });
  const kept = new Set(placements.map((p) => p.item));
  const lines = new Map(items.map((item, i) => [item, i]));
  const drillOf = new Map(drills.map((d) => [d.item, d]));
  items.forEach((item, i) => {
    if (kept.has(item)) return;
    // Before the first of those kept that the plan has later.
    const later = placements.findIndex((p) => p.level && (lines.get(p.item) as number) > i);
    const at = later < 0 ? placements.length : later;
    placements.splice(at, 0, {
      item,
      ...unscheduled(drillOf.get(item)),
      beginSeconds: placements[at]?.beginSeconds ?? 0,
      spanSeconds: 0,
    });
  });
  return placements;
}

/** What became of an item that takes no time: a drill that is left out, or, where there is none to fit, kit that is on. */
function unscheduled(
  drill: FitDrill | undefined,
): Pick<Placement, "levelIndex" | "level" | "ideal" | "verdict"> {
  if (!drill) return { levelIndex: 0, level: ALREADY_ON, ideal: ALREADY_ON, verdict: "kept" };
  return {
    levelIndex: -1,
    level: null,
    ideal: drill.levels[drill.ideal] as DoseLevel,
    verdict: "left-out",
  };
}

/** The only way of doing what is done. */
const ALREADY_ON: DoseLevel = {
  seconds: 0,
  workSeconds: 0,
  volume: { unit: "seconds", amount: 0 },
  actions: 0,
  words: "already on",
  counts: [],
};

function verdictOf(level: number, ideal: number): Verdict {
  if (level === ideal) return "kept";
  if (level > ideal) return "lengthened";
  return level === 0 ? "floor" : "shortened";
}

function stateOf(placements: readonly Placement[], waitOverSeconds: number): FitState {
  const leftOut = (p: Placement) => p.verdict === "left-out";
  if (placements.some((p) => p.item.priority === "essential" && leftOut(p))) return "short";
  const lost = placements.some(
    (p) =>
      (p.item.priority === "useful" && leftOut(p)) ||
      (p.item.priority === "essential" && (p.verdict === "floor" || p.verdict === "shortened")),
  );
  return lost || waitOverSeconds > 0 ? "tight" : "fits";
}
