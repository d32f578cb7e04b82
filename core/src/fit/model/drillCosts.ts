import { climbOf } from "../../dose/ladder/climb";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import { actionsOf } from "../../plan/counted";
import type { PlanItem } from "../../plan/plan";
import { restOwed } from "../../plan/rest";
import { climbPartOf, fromNothing } from "../../plan/stepRule";
import { EASY_EFFORT, HARD_EFFORT } from "../../words/effort";
import type { Cap, LevelCost } from "./problem";
import type { Worth } from "./worth";

/** Returns what of a drill the solver goes by whatever its level. */
export function kindOf(item: PlanItem) {
  const calm = item.calm !== undefined;
  const kit = item.phase === "kit";
  const part = climbPartOf(item);
  return {
    calm,
    resting: calm || kit,
    warming: item.calm === "keep-warm" || !(calm || kit),
    climbs: part === "climbs",
    leads: part !== null,
    coldFrom: part === "climbs" ? (fromNothing(item.phase) ?? -1) : -1,
    general:
      !calm &&
      (item.phase === "raise" || item.phase === "mobilise") &&
      !(item.details?.flags.includes("breather") ?? false),
    free: item.free === true,
    wholePlace: item.wholePlace === true,
  };
}

/** What of a plan decides what a level costs. */
export interface CostShape {
  caps: readonly Cap[];
  owedTimes: number;
  leastWait: number;
  easyPercent: number;
  rests: boolean;
}

/** Returns the levels of a drill and what each costs. @param rows the worth of each level */
export function levelsAndCosts(item: PlanItem, rows: readonly Worth[], shape: CostShape) {
  const levels = levelsOf(item.dose);
  const calm = item.calm !== undefined;
  const costs = levels.map((level, k): LevelCost => {
    const owes = calm ? 0 : shape.owedTimes * hardSeconds(item, level);
    const uses = {
      volume: actionsOf(item, level, "volume"),
      explosive: actionsOf(item, level, "explosive"),
      easy: easyDebt(item, level, shape.easyPercent),
    };
    return {
      seconds: level.seconds,
      deadline: Math.min(0, -Math.max(calm ? 0 : shape.leastWait, owes)),
      rest: shape.rests && !calm ? restOwed(item.restAfter, level.workSeconds) : 0,
      owes,
      ...climbOf(item, level),
      uses: shape.caps.map((c) => uses[c.name]),
      worth: rows[k] as Worth,
    };
  });
  return { levels, ideal: idealLevel(item.dose), costs };
}

/** Seconds of work at or above hard effort, rests and a partner's turns left out; of a ladder only the rungs that are. */
function hardSeconds(item: PlanItem, level: DoseLevel): number {
  if (!level.rungs) return item.intensity >= HARD_EFFORT ? level.workSeconds : 0;
  return level.rungs.reduce((sum, r) => sum + (r.intensity >= HARD_EFFORT ? r.workSeconds : 0), 0);
}

/**
 * By how much a drill takes the plan away from its easy share: below 0 for easy work, above for other work, so that
 * the sum may not be above 0. Kit and what is done in the wait are not work.
 */
function easyDebt(item: PlanItem, level: DoseLevel, percent: number): number {
  if (item.phase === "kit" || item.calm) return 0;
  if (!level.rungs) return level.seconds * (item.intensity <= EASY_EFFORT ? percent - 100 : percent);
  const easy = level.rungs.reduce(
    (sum, r) => sum + (r.intensity <= EASY_EFFORT ? r.seconds + r.restSeconds : 0),
    0,
  );
  return level.seconds * percent - easy * 100;
}
