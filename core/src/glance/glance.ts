import type { Conditions } from "../conditions/setting";
import { givenUpLine } from "../fit/explain/explain";
import { fitWord } from "../fit/explain/fitWord";
import { type Fit, fitAt } from "../fit/fit";
import { type FitProfile, profileAt, quickProfileAt } from "../fit/profile";
import type { Training } from "../forecast/model/surroundings";
import type { PlanBody } from "../plan/plan";
import type { DoneBefore } from "../rewarm/doneBefore";
import { fitTimeline } from "../timeline/fitTimeline";
import type { RiseSegment } from "../timeline/segment";
import { contextOf, type DayOf } from "../venue/contextOf";
import { stateLineOf } from "./stateLineOf";

/** What a start's glance is made of. */
export interface GlanceOf {
  plan: PlanBody;
  day: DayOf & { setting: Conditions };
  /** Time available, whole seconds. */
  seconds: number;
  /** Null where it is not known, or not to be known. */
  training: Training | null;
  before: readonly DoneBefore[];
}

/** How a warm-up stands for a time available, as far as a list of starts says it. Small, because the device keeps it. */
export interface Glance {
  /** When the first drill begins, seconds from the start; 0 for an empty plan. */
  beginSeconds: number;
  workSeconds: number;
  /** How the fit stands, in a word. */
  word: string;
  /** Whether everything is in it. */
  fits: boolean;
  /** What was given up, in a line. */
  givenUp: string;
  segments: RiseSegment[];
  /** Seconds that everything at its target takes, and the essentials at their least; null for what never fits or is nothing. */
  needs: { full: number | null; essentials: number | null };
  /** The state at the start, in a line; null where nothing is done, or where it is not known yet. */
  state: string | null;
}

const needed = (seconds: number): number | null => (seconds > 0 && Number.isFinite(seconds) ? seconds : null);

/** The glance at a start. */
export function glanceOf({ plan, day, seconds, training, before }: GlanceOf): Glance {
  const profile = profileAt(plan, contextOf(day), seconds);
  const fit = fitAt(profile, seconds);
  return { ...glanceFrom(plan, profile, fit), state: stateLineOf(fit, day.setting, training, before) };
}

/** A plan with more drills than this, or more time than this in seconds, takes too long to be fitted in passing. Custom. */
const PASSING = { drills: 30, seconds: 3 * 3600 };

/**
 * The same in a few milliseconds, without the state at the start; null where that is not enough time to find the best fit.
 */
export function quickGlanceOf({
  plan,
  day,
  seconds,
}: Pick<GlanceOf, "plan" | "day" | "seconds">): Glance | null {
  if (plan.items.length > PASSING.drills || seconds > PASSING.seconds) return null;
  const { profile, isBest } = quickProfileAt(plan, contextOf(day), seconds);
  return isBest ? { ...glanceFrom(plan, profile, fitAt(profile, seconds)), state: null } : null;
}

function glanceFrom(plan: PlanBody, { needs }: FitProfile, fit: Fit): Omit<Glance, "state"> {
  return {
    beginSeconds: fit.beginSeconds,
    workSeconds: fit.workSeconds,
    word: fitWord(fit, plan.stepPoints, { isBest: true, failed: false }),
    fits: fit.state === "fits",
    givenUp: givenUpLine(fit, plan.stepPoints),
    segments: fitTimeline(fit).map(({ kind, key, itemId, phase, intensity, fromSeconds, toSeconds }) => ({
      ...{ kind, key, itemId, phase, intensity },
      ...{ fromSeconds, toSeconds },
    })),
    needs: { full: needed(needs.full), essentials: needed(needs.essentials) },
  };
}
