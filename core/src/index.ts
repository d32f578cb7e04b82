export { type Scale, type ScaleItem, type ScaleKind, scaleKindSchema, scaleSchema } from "./athlete/scale";
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
export { compareFits, type GivenUp, givenUp, givenUpLine } from "./fit/explain";
export { type Fit, type FitState, fitAt, fitPlan, type Placement, type Verdict } from "./fit/fit";
export { buildFitTable, type FitTable } from "./fit/fitTable";
export {
  generateLadder,
  LADDER_SHAPES,
  type LadderAnswer,
  type LadderShape,
  type LadderWish,
  ladderShapeSchema,
} from "./ladder/generateLadder";
export {
  type LadderDose,
  ladderDoseSchema,
  MOST_RUNGS,
  type Rung,
  rungSchema,
} from "./ladder/ladderDose";
export { rungName } from "./ladder/ladderLevels";
export { type SteepStep, steepSteps } from "./ladder/stepRule";
export { type DrillContent, drillContent } from "./plan/drillContent";
export { PHASES, type Phase, phaseName } from "./plan/phase";
export {
  emptyPlan,
  type PlanBody,
  type PlanItem,
  planBodySchema,
  planItemSchema,
} from "./plan/plan";
export { PRIORITIES, type Priority } from "./plan/priority";
export { nameSchema, noteSchema, tagSchema } from "./plan/text";
export { type RunClock, runClock } from "./run/runClock";
export type { RunEvent } from "./run/runEvent";
export { type RunDrill, type RunPlan, runPlanOf } from "./run/runPlan";
export { type RunState, runState, type Split } from "./run/runState";
export { type RunSummary, runSummary } from "./run/runSummary";
export { formatLength, formatMinus, spokenLength } from "./time/clock";
export {
  endOfDay,
  isTimeZone,
  nearestInstant,
  wallClock,
  type ZonedInstant,
  zonedInstant,
} from "./time/zone";
