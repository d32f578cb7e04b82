// What counts a whole day back from its start: the command line, and whatever shows it.

export type { DayVersion } from "./day/constraint";
export { dayPlan } from "./day/day";
export { contradictionWords, reasonWords } from "./day/dayWords";
export { usualDay } from "./day/usualDay";
export { type DayFile, dayFileSchema, readDayFile } from "./formats/dayFile";
