export {
  type AgeBand,
  type AthleteProfile,
  ageBandSchema,
  athleteProfileSchema,
  noProfile,
  youngestOf,
} from "./athlete/profile";
export { type Scale, type ScaleItem, scaleItemSchema, scaleKindSchema } from "./athlete/scale";
export { knownOf, markOf, type Noted } from "./checks/setAside";
export {
  EASY_SESSION,
  SESSION_KINDS,
  type SessionKind,
  sessionKindOf,
  sessionName,
} from "./conditions/sessionKind";
export {
  type Conditions,
  conditionsOf,
  type Known,
  type Setting,
  usualSetting,
  weatherOf,
} from "./conditions/setting";
export { describeChange } from "./dose/describeChange";
export { type Dose, type DoseKind, doseSchema } from "./dose/dose";
export { MOST_MOVEMENTS, type Movement } from "./dose/kinds/circuitDose";
export { WIDEST_WINDOW } from "./dose/kinds/gateDose";
export { firstDose, type PlainDose, plainDoseSchema } from "./dose/kinds/plainDose";
export { changeRung, copyRung, moveRung, removeRung, topOf } from "./dose/ladder/editRungs";
export { firstLadder } from "./dose/ladder/firstLadder";
export {
  type LadderDose,
  ladderDoseSchema,
  MOST_RUNGS,
  type Rung,
  rungSchema,
} from "./dose/ladder/ladderDose";
export { rungName } from "./dose/ladder/ladderLevels";
export { idealLevel, levelsOf } from "./dose/levelsOf";
export { type DoseEnd, moveEnd } from "./dose/moveEnd";
export { nudgeDose } from "./dose/nudgeDose";
export type { DoseLevel, LevelRung } from "./dose/terms/level";
export type { Range } from "./dose/terms/range";
export type { Sides } from "./dose/terms/sides";
export { withKind } from "./dose/withKind";
export { CALL_GAP, type Called, calledLine, MOST_CALLED, MOST_COUNTS } from "./drill/called";
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
export {
  EFFORT_PROFILES,
  type EffortProfile,
  type EventType,
  type FixedPoint,
  plainEvent,
} from "./event/eventType";
export type { NamedCulprit } from "./fit/culprit";
export { type GivenUp, givenUpLine } from "./fit/explain/explain";
export { fitWord } from "./fit/explain/fitWord";
export { steepLeftOut } from "./fit/explain/steepLeftOut";
export { type Fit, type FitState, fitAt, fitPlan, type Placement, type Verdict } from "./fit/fit";
export { idleLine } from "./fit/idle";
export { type FitProfile, quickProfileAt, withTable } from "./fit/profile";
export { type GroupMember, groupOf, groupSize, MOST_IN_GROUP } from "./group/group";
export type { GroupMark } from "./group/groupMark";
export { groupProfile } from "./group/groupProfile";
export { lostLabels } from "./ladder/lostLabels";
export { hashOf } from "./maths/hash";
export { idsFrom } from "./maths/idsFrom";
export { type Coverage, coverageOf } from "./plan/coverage";
export { type DrillContent, drillContent, shelfOrigin } from "./plan/drillContent";
export { addDrill } from "./plan/edit/addDrill";
export { changeItem, removeItems, replaceItem } from "./plan/edit/changeItems";
export { circuitFault, groupIntoCircuit } from "./plan/edit/circuit";
export { copyPlan } from "./plan/edit/copyPlan";
export { duplicateItems } from "./plan/edit/duplicateItems";
export { editedPlan, editedSetting, orderedWait } from "./plan/edit/editedPlan";
export { type Meeting, mergePlans, type Side } from "./plan/edit/mergePlans";
export { moveItem, moveItems } from "./plan/edit/moveItems";
export { canSplit, splitItem } from "./plan/edit/split";
export type { Finding, Mend } from "./plan/finding";
export { kitStateOf, withKitState } from "./plan/kit";
export type { Limits } from "./plan/limits";
export { withoutBrokenPairs } from "./plan/order";
export type { OwnFigure } from "./plan/ownFigure";
export {
  emptyPlan,
  MOST_DRILLS,
  type PlanBody,
  type PlanItem,
  planBodySchema,
  planItemSchema,
} from "./plan/plan";
export type { Edit } from "./plan/planEdit";
export { protectedOn } from "./plan/protect";
export { topUpShelf } from "./plan/topUpShelf";
export { type Circumstances, circumstancesOn } from "./plan/usable";
export { REMEMBERED_SECONDS } from "./rewarm/memory";
export type { RunForecast } from "./run/judge/runForecast";
export { automaticPress } from "./run/live/automaticPress";
export { BREATH, type BreathNow, breathAt } from "./run/live/breath";
export { type CallNow, callAt } from "./run/live/calls";
export { cautionFor, weatherCaution } from "./run/live/cautions";
export { type Cue, type CueLook, cueBetween, cueLook, type Tone } from "./run/live/cues";
export { type GroupStand, groupStand, groupWords, isOwnStep } from "./run/live/groupStand";
export { passedPoints } from "./run/live/passedPoints";
export { type RunClock, runClock } from "./run/live/runClock";
export { runTimeline } from "./run/live/runTimeline";
export { type WaitPrompt, waitPrompt } from "./run/live/waitPrompt";
export { isRunOver, RUN_FORGOTTEN_HOURS, runOverFrom } from "./run/log/isOver";
export { lastTake } from "./run/log/lastTake";
export { type RunDay, runDay } from "./run/log/runDay";
export { runDrills } from "./run/log/runDrills";
export type { RunEvent } from "./run/log/runEvent";
export { MOST_UNDOABLE, runState } from "./run/log/runState";
export { type RunSummary, runSummary } from "./run/log/runSummary";
export type { RunState, Split } from "./run/log/state";
export { isWorthOffering, refitReason } from "./run/refit/refitReason";
export { runPlanOf, stepOfDrill } from "./run/steps/freezeFit";
export { type GateTally, gateTally } from "./run/steps/gateTally";
export { type PartNow, partAt } from "./run/steps/partAt";
export { type RunDrill, type RunPlan, stepKey } from "./run/steps/runPlan";
export { simulatedStrap } from "./simulated/heartRate";
export { type OrderNews, simulatedList, simulatedOrder } from "./simulated/runningOrder";
export { flooredLength, formatLength, formatMinus, roundLength, spokenLength } from "./time/clock";
export * from "./time/units";
export {
  endOfDay,
  isTimeZone,
  nearestInstant,
  wallClock,
  type ZonedInstant,
  zonedInstant,
} from "./time/zone";
export { fitTimeline } from "./timeline/fitTimeline";
export { riseWords } from "./timeline/riseWords";
export { idleBefore, type RiseSegment, type Segment, waitBeforeStart } from "./timeline/segment";
export { type FitContext, fitContextSchema, LONGEST_DAY, openDay } from "./venue/context";
export { contextOf, type DayFacts, type DayOf } from "./venue/contextOf";
export type { Venue, VenuePlace, VenueWindow } from "./venue/venue";
export { type ApproachId, approachIdSchema, approachName } from "./words/approachId";
export { BODY_AREAS, type BodyArea } from "./words/bodyArea";
export { cutText } from "./words/cutText";
export { type Fault, pathText } from "./words/fault";
export { listOf } from "./words/listOf";
export { namesBodyPart } from "./words/namesBodyPart";
export { PHASES, type Phase, phaseName } from "./words/phase";
export { PRIORITIES, type Priority } from "./words/priority";
export { PURPOSES, type Purpose } from "./words/purpose";
export { wordKey } from "./words/sameWord";
export { LONGEST_NAME, nameSchema, noteSchema, tagSchema } from "./words/text";
export { isRight, tolerant } from "./words/tolerant";
