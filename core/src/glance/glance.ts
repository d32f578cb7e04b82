import type { Conditions } from "../conditions/setting";
import { givenUpLine } from "../fit/explain/explain";
import { fitWord } from "../fit/explain/fitWord";
import { fitAt } from "../fit/fit";
import { profileAt } from "../fit/profile";
import type { Training } from "../forecast/model/surroundings";
import { stateLineOf } from "../forecast/stateLineOf";
import type { PlanBody } from "../plan/plan";
import type { DoneBefore } from "../rewarm/doneBefore";
import { fitTimeline } from "../timeline/fitTimeline";
import type { Segment } from "../timeline/segment";
import { contextOf, type DayOf } from "../venue/contextOf";

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
  segments: Segment[];
  /** Seconds that everything at its target takes, and the essentials at their least; null for what never fits or is nothing. */
  needs: { full: number | null; essentials: number | null };
  /** The state at the start, in a line; null where nothing is done. */
  state: string | null;
}

const seconds = (needed: number): number | null => (needed > 0 && Number.isFinite(needed) ? needed : null);

/** The glance at a start. */
export function glanceOf({ plan, day, seconds: available, training, before }: GlanceOf): Glance {
  const profile = profileAt(plan, contextOf(day), available);
  const fit = fitAt(profile, available);
  return {
    beginSeconds: fit.beginSeconds,
    workSeconds: fit.workSeconds,
    word: fitWord(fit, plan.stepPoints, { isBest: true, failed: false }),
    fits: fit.state === "fits",
    givenUp: givenUpLine(fit, plan.stepPoints),
    segments: fitTimeline(fit),
    needs: { full: seconds(profile.needs.full), essentials: seconds(profile.needs.essentials) },
    state: stateLineOf(fit, day.setting, training, before),
  };
}
