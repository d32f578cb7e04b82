import type { Approach } from "../../approach/approaches";
import { approachOf } from "../../approach/approaches";
import type { AthleteProfile } from "../../athlete/profile";
import type { Setting } from "../../conditions/setting";
import type { EventType } from "../../event/eventType";
import type { NamedCulprit } from "../../fit/culprit";
import type { Fit } from "../../fit/fit";
import { type Forecast, forecastOf } from "../../forecast/forecast";
import type { Piece } from "../../forecast/model/piece";
import { type Surroundings, surroundingsOf } from "../../forecast/model/surroundings";
import { piecesOf } from "../../forecast/piecesOf";
import type { ShelfContent } from "../../plan/drillContent";
import type { PlanBody } from "../../plan/plan";
import { type Circumstances, circumstancesOn } from "../../plan/usable";
import type { DoneBefore } from "../../rewarm/doneBefore";
import { wholeDay } from "../../rewarm/wholeDay";
import type { FitContext } from "../../venue/context";
import type { BodyArea } from "../../words/bodyArea";
import { type Doing, doingsOf } from "./doing";

/** A warm-up of this athlete that was run before. */
export interface EarlierRun {
  /** The calendar's day, yyyy-mm-dd. */
  day: string;
  /** Drills of the shelf that were done, in order. */
  drillIds: readonly string[];
  /** Seconds that it was planned to take. */
  seconds: number;
}

/** What a plan is judged by: everything besides the plan may be unknown. */
export interface SituationInput {
  plan: PlanBody;
  fit: Fit;
  context: FitContext;
  setting: Setting;
  athlete: AthleteProfile | null;
  event: Omit<EventType, "name"> | null;
  /** The day at the venue, yyyy-mm-dd. */
  day: string | null;
  /** Seconds between being ready and the start; null where only the time available is known. */
  readySeconds: number | null;
  /** Seconds until the start; null where nobody asks what time it is. */
  untilStart: number | null;
  /** The shelf, for mends; empty where it is not at hand. */
  shelf: readonly ShelfContent[];
  /** The athlete's warm-ups before, the latest first. */
  earlier: readonly EarlierRun[];
  /** What was done earlier on the day, in the order of its beginning; left out where nothing was. */
  before?: readonly DoneBefore[];
  /** What keeps the essentials from fitting, where that is known. */
  culprit: NamedCulprit | null;
}

/** A plan with its day and everything that follows from the two. */
export interface Situation extends SituationInput {
  doings: readonly Doing[];
  pieces: readonly Piece[];
  before: readonly DoneBefore[];
  /** The pieces with what was done earlier on the day before them. */
  wholeDay: readonly Piece[];
  around: Surroundings;
  forecast: Forecast;
  approach: Approach | null;
  /** The athlete's age at the least, years; null when it is not known. */
  age: number | null;
  /** Protected parts on the day. */
  protectedAreas: readonly BodyArea[];
  circumstances: Circumstances;
}

/** Works out what follows from a plan and its day. */
export function situationOf(input: SituationInput): Situation {
  const { plan, fit, setting, athlete, day, before = [] } = input;
  const pieces = piecesOf(fit);
  const whole = wholeDay(before, pieces);
  const around = surroundingsOf(setting, athlete);
  const circumstances = circumstancesOn(setting, athlete, day);
  return {
    ...input,
    doings: doingsOf(fit),
    pieces,
    before,
    wholeDay: whole,
    around,
    forecast: forecastOf(pieces, around, whole),
    approach: plan.origin ? approachOf(plan.origin.approach) : null,
    age: circumstances.age,
    protectedAreas: circumstances.protectedAreas,
    circumstances,
  };
}
