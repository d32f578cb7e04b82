import { dayCalendar } from "@tonodrome/core/calendar";
import { contradictionWords, type DayFile, dayFileText, dayPlan, stepsOfFile } from "@tonodrome/core/day";

/** What a day can be written as. */
export const DAY_FORMATS = ["ics", "json"] as const;
type DayFormat = (typeof DAY_FORMATS)[number];

/** Which of two files of a start without an id is which, a calendar cannot tell. */
const NO_ID = "00000000-0000-4000-8000-000000000000";

/**
 * A day in another form.
 * @param madeAt ISO 8601
 * @returns the text; or why there is none
 */
export function exportDay(file: DayFile, as: DayFormat, madeAt: string): { text: string } | { why: string } {
  const steps = [...stepsOfFile(file)];
  if (as === "json") {
    const { format: _, version: __, ...day } = file;
    return { text: dayFileText({ ...day, steps }) };
  }
  const { startsAt, zone, warmUpSeconds, id = NO_ID, title = "Start", venue = "" } = file;
  const day = { startsAt, zone, warmUpSeconds, steps };
  const text = dayCalendar({ ...day, id, title, venue, sequence: 0, madeAt });
  if (text) return { text };
  const plan = dayPlan(day, "usual");
  return { why: plan.holds ? "" : contradictionWords(day, plan.contradiction, "usual") };
}
