// What counts a whole day back from its start: the command line, and whatever shows it.

export { alarmsOf, type DayAlarm } from "../day/alarms";
export { isOneDay, type PreviousStart, previousStart } from "../day/betweenStarts";
export type { DayFrame, DayVersion } from "../day/constraint";
export { type DayPlan, type DayStand, dayPlan } from "../day/day";
export { dayStepsSchema } from "../day/daySteps";
export { contradictionWords, reasonWords } from "../day/dayWords";
export { withMoved, withoutStep, withStep } from "../day/editing";
export { DAY_KINDS } from "../day/kinds";
export {
  type DayStep,
  dayStepSchema,
  FURTHEST,
  LONGEST_STEP,
  MOST_LINES,
  MOST_RULES,
  type StepRule,
} from "../day/step";
export { USUAL_TRAVEL, usualDay } from "../day/usualDay";
export { type WayOut, waysOut } from "../day/waysOut";
export { type DayFile, dayFileSchema, dayFileText, readDayFile, stepsOfFile } from "../formats/dayFile";
