export { type ApproachId, approachIdSchema, approachName } from "./approach/approachId";
export { type Circumstances, obstacleTo } from "./approach/usable";
export {
  type AgeBand,
  type AthleteProfile,
  ageBandSchema,
  athleteProfileSchema,
  noProfile,
  youngestOf,
} from "./athlete/profile";
export { loadedOf, protectedOn, type Replacement, replacements } from "./athlete/protect";
export { type Scale, type ScaleItem, scaleItemSchema, scaleKindSchema } from "./athlete/scale";
export { type FitContext, fitContextSchema, LONGEST_DAY, openDay } from "./day/context";
export { contextOf, type DayFacts, type DayOf } from "./day/contextOf";
export type { Venue, VenuePlace, VenueWindow } from "./day/venue";
export { type DoseEnd, mainRange, moveEnd, withMainRange } from "./dose/adjustDose";
export { MOST_MOVEMENTS, type Movement } from "./dose/circuitDose";
export { describeChange } from "./dose/describeChange";
export { type Dose, type DoseKind, doseSchema } from "./dose/dose";
export { WIDEST_WINDOW } from "./dose/gateDose";
export type { DoseLevel, LevelRung } from "./dose/level";
export { idealLevel, levelsOf } from "./dose/levelsOf";
export { type PlainDose, plainDoseSchema } from "./dose/plainDose";
export type { Range } from "./dose/range";
export type { Sides } from "./dose/sides";
export { BODY_AREAS, type BodyArea } from "./drill/bodyArea";
export {
  type Distance,
  type DrillDetails,
  type DrillFlag,
  distanceSchema,
  drillDetailsSchema,
  drillFlagSchema,
  noDetails,
  type Realism,
  realismSchema,
} from "./drill/details";
export { type DrillFilter, filterCount, findDrills, noFilter, wordsOf } from "./drill/findDrills";
export { LINKS, type LinkName, linkFault } from "./drill/links";
export { PURPOSES, type Purpose } from "./drill/purpose";
export {
  EFFORT_PROFILES,
  type EffortProfile,
  type EventType,
  type FixedPoint,
  plainEvent,
} from "./event/eventType";
export { type Setting, usualSetting } from "./event/setting";
export { simulatedStrap } from "./feed/heartRate";
export { type OrderNews, simulatedList, simulatedOrder } from "./feed/runningOrder";
export type { NamedCulprit } from "./fit/culprit";
export { type GivenUp, givenUpLine, idleLine } from "./fit/explain";
export { type Fit, type FitState, fitAt, fitPlan, type Placement, type Verdict } from "./fit/fit";
export type { Idle, IdleReason } from "./fit/idle";
export { type FitProfile, quickProfileAt, withTable } from "./fit/profile";
export {
  type LadderDose,
  ladderDoseSchema,
  MOST_RUNGS,
  type Rung,
  rungSchema,
} from "./ladder/ladderDose";
export { rungName } from "./ladder/ladderLevels";
export { type SteepStep, steepSteps } from "./ladder/stepRule";
export { type Coverage, coldOf, coverageOf } from "./plan/coverage";
export { cutText } from "./plan/cutText";
export { type DrillContent, drillContent } from "./plan/drillContent";
export { kitStateOf, withKitState } from "./plan/kit";
export type { Limits } from "./plan/limits";
export { withoutBrokenPairs } from "./plan/order";
export { PHASES, type Phase, phaseName } from "./plan/phase";
export {
  emptyPlan,
  MOST_DRILLS,
  type PlanBody,
  type PlanItem,
  planBodySchema,
  planItemSchema,
} from "./plan/plan";
export { PRIORITIES, type Priority } from "./plan/priority";
export { nameSchema, noteSchema, tagSchema } from "./plan/text";
export { wordKey } from "./plan/wordKey";
export { BREATH, type BreathNow, breathAt } from "./run/breath";
export { coolDownOf } from "./run/coolDown";
export { runPlanOf, stepOfDrill } from "./run/freezeFit";
export { type GateTally, gateTally } from "./run/gateTally";
export { type RunClock, runClock } from "./run/runClock";
export { type RunDay, runDay } from "./run/runDay";
export type { RunEvent } from "./run/runEvent";
export { type PartNow, partAt } from "./run/runPart";
export { type RunDrill, type RunPlan, stepKey } from "./run/runPlan";
export { MOST_UNDOABLE, type RunState, runState, type Split } from "./run/runState";
export { type RunSummary, runSummary } from "./run/runSummary";
export { type WaitPrompt, waitPrompt } from "./run/waitPrompt";
export { formatLength, formatMinus, spokenLength } from "./time/clock";
export {
  endOfDay,
  isTimeZone,
  nearestInstant,
  wallClock,
  type ZonedInstant,
  zonedInstant,
} from "./time/zone";
