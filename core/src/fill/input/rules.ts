import { CHILD_LONGEST_SECONDS, isMaster, MASTERS } from "../../age/ageRules";
import { noBreather } from "../../checks/amount/noBreather";
import { mostExplosive, tooExplosive } from "../../checks/amount/tooExplosive";
import { straightToHard } from "../../checks/climb/straightToHard";
import { noTimeToChange } from "../../checks/start/noTimeToChange";
import { notRested } from "../../checks/start/notRested";
import { type ClubFigures, figuresOf } from "../../checks/terms/figures";
import { hardestAt, topsOf } from "../../checks/who/tooHardForAge";
import { mostOfOne, tooMuchForAge } from "../../checks/who/tooMuchForAge";
import { notForChild, tooYoung } from "../../checks/who/tooYoung";
import type { PlanItem } from "../../plan/plan";

/** What filling keeps to, by the figures that the checks go by: one truth for what is built and what is judged. */
export interface FillRules {
  /** Hardest effort, per cent. */
  hardest: number;
  /** Most explosive repetitions; 0 where none are done. */
  explosive: number;
  /** Most repetitions of one of the sport's own drills, or of one rung. */
  ofOne: number;
  /** How much longer the raise is, times. */
  raiseTimes: number;
  /** Largest step, points; Infinity where the approach's own holds. */
  step: number;
  /** The longest warm-up, seconds. */
  longest: number;
  /** Effort above which an action wants so many easy repetitions before. */
  hardFrom: number;
  easyReps: number;
  /** Two efforts from here on do not follow each other without a rest of so long, per cent and seconds. */
  breath: { effort: number; seconds: number };
  /** Rest before the start for hard work where an approach rests it out, times its length. */
  restTimes: number;
  /** Time to take warm layers off, seconds. */
  layersOff: number;
  /** Whether a drill is for this age. */
  allows: (drill: Pick<PlanItem, "details">) => boolean;
}

/** @param age years; null for an adult, or where it is not known */
export function fillRules(age: number | null, figures: ClubFigures): FillRules {
  const mosts = figuresOf(tooExplosive, figures) as Parameters<typeof mostExplosive>[1];
  const ofOne = figuresOf(tooMuchForAge, figures) as Parameters<typeof mostOfOne>[1];
  const { child } = figuresOf(tooYoung, figures) as { child: number };
  const easing = figuresOf(straightToHard, figures) as { hard: number; easyReps: number };
  const { times } = figuresOf(notRested, figures) as { times: number };
  const { seconds } = figuresOf(noTimeToChange, figures) as { seconds: number };
  const isChild = age !== null && age < child;
  const warmsSlowly = isMaster(age);
  return {
    hardest: hardestAt(age, topsOf(figures)),
    explosive: isChild ? 0 : mostExplosive(age, mosts),
    ofOne: mostOfOne(age, ofOne),
    raiseTimes: warmsSlowly ? MASTERS.raiseTimes : 1,
    step: warmsSlowly ? MASTERS.stepPoints : Infinity,
    longest: isChild ? CHILD_LONGEST_SECONDS : Infinity,
    hardFrom: easing.hard,
    easyReps: easing.easyReps,
    breath: figuresOf(noBreather, figures) as { effort: number; seconds: number },
    restTimes: times,
    layersOff: seconds,
    allows: (drill) => !isChild || notForChild(drill) === null,
  };
}
