import { z } from "zod";
import { athleteRefSchema } from "../club/athletes";
import { newIdSchema } from "../common/common";
import { MOST } from "../common/most";

/** What making an address of a calendar sends. */
export const calendarInputSchema = z.strictObject({
  id: newIdSchema,
  /** Whose days are in it; null for all of the club. */
  athleteId: z.uuid({ error: "Choose an athlete, or all." }).nullable(),
});

/** An address to which a calendar subscribes. */
export const calendarAddressSchema = z.strictObject({
  id: z.uuid(),
  athlete: athleteRefSchema.nullable(),
  createdAt: z.iso.datetime(),
  madeBy: z.string().nullable(),
});
/** The addresses that work. */
export const calendarListSchema = z.strictObject({
  calendars: z.array(calendarAddressSchema).max(MOST.calendars),
});
/** One that was just made: its secret is told once. */
export const newCalendarSchema = z.strictObject({ ...calendarAddressSchema.shape, token: z.string() });

export type CalendarAddress = z.infer<typeof calendarAddressSchema>;
