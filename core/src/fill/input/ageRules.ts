import { mostExplosive, tooExplosive } from "../../checks/amount/tooExplosive";
import { type ClubFigures, figuresOf } from "../../checks/clubFigures";
import { hardestAt, tooHardForAge } from "../../checks/who/tooHardForAge";
import { notForChild, tooYoung } from "../../checks/who/tooYoung";
import type { PlanItem } from "../../plan/plan";

/** What an age allows, by the figures that the checks go by: one truth for what is built and what is judged. */
export interface AgeRules {
  /** Hardest effort, per cent. */
  hardest: number;
  /** Most explosive repetitions; 0 where none are done. */
  explosive: number;
  /** How much longer the raise is, times. */
  raiseTimes: number;
  /** Largest step, points; Infinity where the approach's own holds. */
  step: number;
  /** The longest warm-up, seconds. */
  longest: number;
  /** Whether a drill is for this age. */
  allows: (drill: Pick<PlanItem, "details">) => boolean;
}

/** A child's warm-up is ten minutes of play, seconds; custom. */
const CHILD_SECONDS = 600;

/** Age from which bodies warm more slowly: the raise is half as long again and steps are smaller; custom. */
const MASTERS = 40;
const MASTERS_RAISE = 1.5;
const MASTERS_STEP = 15;

/** @param age years; null for an adult, or where it is not known */
export function ageRules(age: number | null, figures: ClubFigures): AgeRules {
  const tops = figuresOf(tooHardForAge, figures) as Parameters<typeof hardestAt>[1];
  const mosts = figuresOf(tooExplosive, figures) as Parameters<typeof mostExplosive>[1];
  const { child } = figuresOf(tooYoung, figures) as { child: number };
  const isChild = age !== null && age < child;
  const isMaster = age !== null && age >= MASTERS;
  return {
    hardest: hardestAt(age, tops),
    explosive: isChild ? 0 : mostExplosive(age, mosts),
    raiseTimes: isMaster ? MASTERS_RAISE : 1,
    step: isMaster ? MASTERS_STEP : Infinity,
    longest: isChild ? CHILD_SECONDS : Infinity,
    allows: (drill) => !isChild || notForChild(drill) === null,
  };
}
