import { z } from "zod";
import { settingSchema, usualSetting } from "../../conditions/setting";
import { LONGEST_AVAILABLE_SECONDS } from "../../conditions/timeAvailable";
import { fixedPointSchema } from "../../event/eventType";
import { runGroupSchema } from "../../group/group";
import { zoneSchema } from "../../time/zoneName";
import { nameSchema, noteSchema } from "../../words/text";
import { athleteRefSchema } from "../club/athletes";
import { askedVersionSchema, instantSchema, newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";
import { startGlanceSchema } from "./glance";
import { orderNumberSchema } from "./orders";
import { planSchema } from "./plans";

/** The fields of a start that a person gives. */
export const startShape = {
  athleteId: z.uuid({ error: "Choose an athlete." }),
  /** What is started: an event, a round. */
  title: nameSchema,
  venue: noteSchema,
  zone: zoneSchema,
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
  return available >= 0 && available <= LONGEST_AVAILABLE_SECONDS * 1000;
}

const outOfOrder = {
  path: ["readyAt"],
  error: "The time available is between 0 and 12 hours before the start.",
};

/** What making a start sends. */
export const startInputSchema = z
  .strictObject({
    id: newIdSchema,
    ...startShape,
    eventId: startShape.eventId.default(null),
    setting: settingSchema.default(usualSetting),
    /** The start whose warm-up and day it begins with, as they stand; none unless given. */
    planOf: z.uuid({ error: "Name a start of the club, or none." }).optional(),
  })
  .refine(inOrder, outOfOrder);

/** What changing a start sends, against the version that was read. */
export const startWriteSchema = z
  .strictObject({ version: versionSchema, ...startShape })
  .refine(inOrder, outOfOrder);

/** What moving a start sends, against the version that was read. */
export const startMoveSchema = z
  .strictObject({
    version: versionSchema,
    startsAt: instantSchema,
    /** When the athlete is ready; as it was, as far as that goes, unless given: for taking a move back. */
    readyAt: instantSchema.optional(),
    /** The press that moves it: in the log of a run under way it stands under this id, once. */
    id: newIdSchema,
    /** Told by a stand-in. */
    simulated: z.boolean().optional(),
  })
  .refine(({ startsAt, readyAt = startsAt }) => inOrder({ startsAt, readyAt }), outOfOrder);

/** A start as a list has it. What it takes to fit it is read apart, when it changed. */
export const startRowSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  /** Another one whenever the whole start reads differently: its plan, its athlete and its event included. */
  stamp: z.string(),
  athlete: athleteRefSchema,
  title: z.string(),
  venue: z.string(),
  zone: z.string(),
  startsAt: z.iso.datetime(),
  readyAt: z.iso.datetime(),
  /** The time on the start list: the start may have moved since. */
  listedAt: z.iso.datetime(),
  eventId: z.uuid().nullable(),
  /** Where it stands in a running order; null where it is in none. */
  order: z.strictObject({ id: z.uuid(), number: orderNumberSchema }).nullable(),
});

/** A start as the server answers, with its plan and what the fit has to know. */
export const startSchema = z.strictObject({
  ...startRowSchema.shape,
  setting: settingSchema,
  /** What the fit has to know of its event and its athlete. */
  facts: z.strictObject({
    points: z.array(fixedPointSchema).max(8),
    places: z.array(z.string()).max(8),
    usualReps: z.number().int().min(0),
  }),
  /** Who warms up together, whose start it is first; left out where it is one athlete alone, and for athletes themselves. */
  group: runGroupSchema.optional(),
  plan: planSchema,
});

/** Which starts: from an instant on, or an athlete's before one. */
export const startListQuerySchema = z.strictObject({
  /** Only starts at or after this instant. */
  from: instantSchema.optional(),
  /** Only starts before this instant; then the latest of them come first. */
  before: instantSchema.optional(),
  /** Only this athlete's. */
  athleteId: z.uuid().optional(),
});
/** Starts without what is large. */
export const startListSchema = z.strictObject({ starts: z.array(startRowSchema).max(MOST.listedStarts) });

const uuids = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";
/** Several starts whole, by their ids with commas between. */
export const wholeStartsQuerySchema = z.strictObject({
  ids: z
    .string()
    .max(MOST.startsTogether * 37)
    .regex(new RegExp(`^${uuids}(,${uuids})*$`), { error: "Give ids with commas between, at most 20." }),
});
/** Those of them that there are. */
export const wholeStartsSchema = z.strictObject({
  starts: z.array(startSchema).max(MOST.startsTogether),
  /** How the next of them stand, as far as that is quickly told. */
  glances: z.array(startGlanceSchema).max(MOST.glances),
});

/** Deleting a start names the version that was read; one who does not say takes it as it stands. */
export const startDeletionSchema = z.strictObject({
  version: askedVersionSchema.optional(),
});

export type StartMove = z.infer<typeof startMoveSchema>;
export type StartInput = z.infer<typeof startInputSchema>;
export type StartWrite = z.infer<typeof startWriteSchema>;
export type StartRow = z.infer<typeof startRowSchema>;
export type Start = z.infer<typeof startSchema>;
