import { z } from "zod";
import { dayStepsSchema } from "../day/daySteps";
import { type DayStep, journeyMinutesSchema } from "../day/step";
import { USUAL_TRAVEL, usualDay } from "../day/usualDay";
import { eventTypeSchema } from "../event/eventType";
import { instantSchema } from "../time/instant";
import { zoneSchema } from "../time/zoneName";
import { LONGEST_DAY } from "../venue/context";
import type { Fault } from "../words/fault";
import { nameSchema, noteSchema } from "../words/text";
import { readJson } from "./readJson";

/** A day to be counted back away from the application. docs/schema has it as JSON Schema. */
export const dayFileSchema = z.strictObject({
  format: z.literal("tonodrome-day", { error: 'The format is "tonodrome-day".' }),
  /** The version of the file's format. */
  version: z.literal(1, { error: "This reads version 1." }),
  /** The start's own id, by which a calendar knows its steps again. */
  id: z.uuid({ error: "The id is not a UUID." }).optional(),
  /** Who starts in what, and where. */
  title: nameSchema.optional(),
  venue: noteSchema.optional(),
  startsAt: instantSchema,
  /** The venue's time zone, an IANA name. */
  zone: zoneSchema,
  /** How long before the start the warm-up begins, whole seconds, as it is fitted. */
  warmUpSeconds: z
    .number({ error: "Give the warm-up's beginning in seconds before the start." })
    .int({ error: "Give whole seconds." })
    .min(0, { error: "0 s or more." })
    .max(LONGEST_DAY, { error: "At most a day, 86400 s." }),
  /** What is started, for the usual day. */
  event: eventTypeSchema.optional(),
  /** The way to the venue, minutes, for the usual day. */
  travel: z
    .strictObject({ usual: journeyMinutesSchema, bad: journeyMinutesSchema })
    .refine((t) => t.usual <= t.bad, { path: ["bad"], error: "If it goes badly it takes no less." })
    .default(USUAL_TRAVEL),
  /** Left out, the usual day of the event. */
  steps: dayStepsSchema.optional(),
});
export type DayFile = z.infer<typeof dayFileSchema>;

/** Reads a file strictly: all of it, or what is wrong with it. */
export const readDayFile = (text: string): { file: DayFile } | { faults: Fault[] } =>
  readJson(text, dayFileSchema);

/** The steps of a file's day: its own, or the usual ones. */
export function stepsOfFile({
  steps,
  startsAt,
  zone,
  warmUpSeconds,
  event,
  travel,
}: DayFile): readonly DayStep[] {
  return steps ?? usualDay({ startsAt, zone, warmUpSeconds, event: event ?? null, travel });
}

/** A day as a file, whole: what is read from it is what was written. */
export const dayFileText = (file: Omit<DayFile, "format" | "version">): string =>
  `${JSON.stringify({ format: "tonodrome-day", version: 1, ...file }, null, 2)}\n`;
