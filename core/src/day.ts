// What counts a whole day back from its start: the command line, and whatever shows it.

export type { DayFrame, DayVersion } from "./day/constraint";
export { type DayPlan, type DayStand, dayPlan } from "./day/day";
export { dayStepsSchema } from "./day/daySteps";
export { contradictionWords, reasonWords } from "./day/dayWords";
export { DAY_KINDS } from "./day/kinds";
export { type DayStep, dayStepSchema, type StepRule } from "./day/step";
export { withMoved, withoutStep, withStep } from "./day/editing";
export { USUAL_TRAVEL, usualDay } from "./day/usualDay";
export { type WayOut, waysOut } from "./day/waysOut";
export { type DayFile, dayFileSchema, readDayFile } from "./formats/dayFile";
