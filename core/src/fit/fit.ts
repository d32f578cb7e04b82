import type { DoseLevel } from "../dose/level";
import type { PlanBody, PlanItem } from "../plan/plan";
import { buildFitTable, type FitTable, readLevels } from "./fitTable";

/** What became of one drill. */
export type Verdict = "kept" | "lengthened" | "shortened" | "floor" | "left-out";

/** Which rule decided it: there was not enough time, or the step in intensity would have been too large. */
export type Bound = "time" | "step";

export interface Placement {
  item: PlanItem;
  /** Index into `levelsOf(item.dose)`, −1 when left out. */
  levelIndex: number;
  level: DoseLevel | null;
  ideal: DoseLevel;
  /** Seconds from the start, negative; where it would stand when left out. */
  beginSeconds: number;
  verdict: Verdict;
  /** Null when nothing was given up. */
  bound: Bound | null;
}

/** One word for the whole: everything that matters is in, something gave way, or essentials are missing. */
export type FitState = "fits" | "tight" | "short";

export interface Fit {
  availableSeconds: number;
  state: FitState;
  placements: Placement[];
  /** Seconds from the start at which the first drill begins, negative; 0 when there is none. */
  beginSeconds: number;
  /** Seconds of drills, rests inside them included. */
  workSeconds: number;
  /** Wait between the last drill and the start, seconds. */
  waitSeconds: number;
  /** How far that wait is over the longest one the coach tolerates, seconds; 0 when it is not. */
  waitOverSeconds: number;
  /** Time available that is not needed: the athlete may begin this much later. */
  spareSeconds: number;
  /** Missing seconds before every essential drill fits at its floor; 0 when they fit. */
  missingSeconds: number;
  /** True when no amount of time helps: essentials are too steep a step apart. */
  stepBlocked: boolean;
}

export interface FitOptions {
  /** Begin with the time available rather than as late as possible; what is left over becomes wait. */
  beginAtOnce?: boolean;
}

/**
 * Fits a plan to the time available before the start: the best level, or none, for every drill, in the order given.
 * @param availableSeconds whole seconds between the earliest beginning and the start; below 0 counts as 0
 * @see buildFitTable when several times are wanted for one plan
 */
export function fitPlan(plan: PlanBody, availableSeconds: number, options: FitOptions = {}): Fit {
  const table = buildFitTable(plan, availableSeconds, { everyTotal: options.beginAtOnce ?? false });
  return fitAt(table, availableSeconds, options);
}

/**
 * Reads the best plan for one time available from a table.
 * @param table built for at least this time; with `everyTotal` when it is to begin at once
 * @param availableSeconds whole seconds; below 0 counts as 0
 * @throws RangeError when the table does not hold what beginning at once asks
 */
export function fitAt(table: FitTable, availableSeconds: number, options: FitOptions = {}): Fit {
  if (options.beginAtOnce && !table.everyTotal) {
    throw new RangeError("To begin at once, build the table with everyTotal: a plan may be too short.");
  }
  const available = Math.max(0, Math.floor(availableSeconds));
  const { leastSeconds, longestSeconds } = table.plan.wait;
  const room = Math.max(0, available - leastSeconds);
  const column = options.beginAtOnce
    ? (bestColumn(table, available - longestSeconds, room) ?? bestColumn(table, 0, room) ?? 0)
    : (bestColumn(table, 0, room) ?? 0);

  const workSeconds = column * table.grain;
  const spare = available - workSeconds - Math.min(leastSeconds, available);
  const waitSeconds = options.beginAtOnce ? available - workSeconds : Math.min(leastSeconds, available);
  const placements = place(table, readLevels(table, column), waitSeconds + workSeconds, room - workSeconds);
  const missing = table.essentialSeconds + leastSeconds - available;
  const hasEssentials = table.essentialSeconds > 0;
  return {
    availableSeconds: available,
    state: stateOf(placements),
    placements,
    beginSeconds: workSeconds > 0 ? -(waitSeconds + workSeconds) : 0,
    workSeconds,
    waitSeconds,
    waitOverSeconds: Math.max(0, waitSeconds - longestSeconds),
    spareSeconds: options.beginAtOnce ? 0 : spare,
    missingSeconds: hasEssentials && Number.isFinite(missing) ? Math.max(0, missing) : 0,
    stepBlocked: !Number.isFinite(table.essentialSeconds),
  };
}

/** The column of greatest worth between two totals in seconds; the shortest of equals. Null when there is none. */
function bestColumn(table: FitTable, fromSeconds: number, toSeconds: number): number | null {
  const { high, low } = table.worth;
  const from = Math.max(0, Math.ceil(fromSeconds / table.grain));
  const to = Math.min(table.most, Math.floor(toSeconds / table.grain));
  let best: number | null = null;
  for (let d = from; d <= to; d++) {
    const h = high[d] as number;
    if (h < 0) continue;
    if (best !== null) {
      const old = high[best] as number;
      if (h < old || (h === old && (low[d] as number) <= (low[best] as number))) continue;
    }
    best = d;
  }
  return best;
}

function place(table: FitTable, levels: number[], lead: number, unused: number): Placement[] {
  let at = -lead;
  return table.drills.map(({ item, levels: all, ideal }, i) => {
    const levelIndex = levels[i] ?? -1;
    const level = all[levelIndex] ?? null;
    const beginSeconds = at;
    at += level?.seconds ?? 0;
    const verdict = verdictOf(levelIndex, ideal);
    const next = all[levelIndex + 1];
    const growth = (next?.seconds ?? 0) - (level?.seconds ?? 0);
    return {
      item,
      levelIndex,
      level,
      ideal: all[ideal] as DoseLevel,
      beginSeconds,
      verdict,
      // With room to spare for the next level, only the step rule can have kept it out.
      bound: levelIndex >= ideal ? null : growth <= unused ? "step" : "time",
    };
  });
}

function verdictOf(level: number, ideal: number): Verdict {
  if (level < 0) return "left-out";
  if (level === ideal) return "kept";
  if (level > ideal) return "lengthened";
  return level === 0 ? "floor" : "shortened";
}

function stateOf(placements: readonly Placement[]): FitState {
  const gaveWay = (p: Placement) => p.verdict === "left-out";
  if (placements.some((p) => p.item.priority === "essential" && gaveWay(p))) return "short";
  const lost = placements.some(
    (p) =>
      (p.item.priority === "useful" && gaveWay(p)) ||
      (p.item.priority === "essential" && (p.verdict === "floor" || p.verdict === "shortened")),
  );
  return lost ? "tight" : "fits";
}
