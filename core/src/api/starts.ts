import { z } from "zod";
import { fixedPointSchema } from "../event/eventType";
import { settingSchema, usualSetting } from "../event/setting";
import { nameSchema, noteSchema } from "../plan/text";
import { isTimeZone } from "../time/zone";
import { athleteRefSchema } from "./athletes";
import { instantSchema, versionSchema } from "./common";
import { planSchema } from "./plans";

/** Longest time available that a start may have, seconds. */
export const LONGEST_AVAILABLE = 12 * 3600;

export const startShape = {
  athleteId: z.uuid({ error: "Choose an athlete." }),
  /** What is started: an event, a round. */
  title: nameSchema,
  venue: noteSchema,
  zone: z
    .string()
    .max(64)
    .refine(isTimeZone, { error: "This time zone is not known: give an IANA name like Europe/Vienna." }),
  startsAt: instantSchema,
  /** The earliest beginning: when the athlete is there and free. Time available runs from here to the start. */
  readyAt: instantSchema,
  /** The time on the start list, which stays when the start moves; as it was, unless given. */
  listedAt: instantSchema.optional(),
  /** What kind of event it is, where the club has one. */
  eventId: z.uuid({ error: "Choose an event of the club, or none." }).nullable(),
  setting: settingSchema,
};

function inOrder(start: { startsAt: string; readyAt: string }): boolean {
  const available = Date.parse(start.startsAt) - Date.parse(start.readyAt);
  return available >= 0 && available <= LONGEST_AVAILABLE * 1000;
}

const outOfOrder = {
  path: ["readyAt"],
  error: "The time available is between 0 and 12 hours before the start.",
};

export const startInputSchema = z
  .strictObject({
    ...startShape,
    eventId: startShape.eventId.default(null),
    setting: settingSchema.default(usualSetting),
  })
  .refine(inOrder, outOfOrder);

export const startWriteSchema = z
  .strictObject({ version: versionSchema, ...startShape })
  .refine(inOrder, outOfOrder);

export const startSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  athlete: athleteRefSchema,
  title: z.string(),
  venue: z.string(),
  zone: z.string(),
  startsAt: z.iso.datetime(),
  readyAt: z.iso.datetime(),
  /** The time on the start list: the start may have moved since. */
  listedAt: z.iso.datetime(),
  eventId: z.uuid().nullable(),
  setting: settingSchema,
  /** What the fit has to know of its event and its athlete. */
  facts: z.strictObject({
    points: z.array(fixedPointSchema),
    places: z.array(z.string()),
    usualReps: z.number().int().min(0),
  }),
  plan: planSchema,
});

export const startListQuerySchema = z.strictObject({
  /** Only starts at or after this instant. */
  from: instantSchema.optional(),
  /** Only starts before this instant; then the latest of them come first. */
  before: instantSchema.optional(),
  /** Only this athlete's. */
  athleteId: z.uuid().optional(),
});
export const startListSchema = z.strictObject({ starts: z.array(startSchema) });

export type StartInput = z.infer<typeof startInputSchema>;
export type StartWrite = z.infer<typeof startWriteSchema>;
export type Start = z.infer<typeof startSchema>;
