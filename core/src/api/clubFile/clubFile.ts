import { z } from "zod";
import { athleteProfileSchema } from "../../athlete/profile";
import { planBodySchema } from "../../plan/plan";
import { runEventSchema } from "../../run/log/runEvent";
import { runPlanSchema } from "../../run/steps/runPlan";
import { listOf } from "../../words/listOf";
import { nameSchema, noteSchema } from "../../words/text";
import { eventSchema } from "../club/events";
import { figuresSchema } from "../club/figures";
import { fileVersionSchema, instantSchema } from "../common/common";
import { MOST } from "../common/most";
import { daySchema } from "../day/days";
import { ticksSchema } from "../day/ticks";
import { drillSchema } from "../shelf/drills";
import { templateSchema } from "../shelf/templates";
import { orderInFileSchema } from "../starts/orders";
import { planEditSchema } from "../starts/plans";
import { startRowSchema, startShape } from "../starts/starts";

/*
 * A whole club as a file: everything that was coached, planned and logged. People's accounts, links and the audit trail
 * belong to the server it was made on and stay there.
 *
 * A file is lines of JSON, each a record: the head, what there is in an order in which nothing names
 * what comes later, and the end, which counts the records. So neither who writes nor who reads it ever holds more than
 * one record, and a file that was cut short is known to be.
 */

/** The version of the format that this server writes. */
export const CLUB_FILE_VERSION = 5;

/** The versions that it reads: 3 is the same without days and ticks, 4 without running orders. */
const READ_VERSIONS = [3, 4, CLUB_FILE_VERSION] as const;

/** Longest line of a file, characters: a run of the most steps there can be. */
export const LONGEST_LINE = 2_000_000;

const FORMAT = z.literal("tonodrome-club", { error: "This is not an export of a club." });

/** The first line of a club's file. */
export const clubHeadSchema = z.strictObject({
  format: FORMAT,
  /** The version of the file's format. */
  version: z.literal(READ_VERSIONS, {
    error: `This server reads exports of version ${listOf(READ_VERSIONS.map(String))}. Export the club again where it came from with a Tonodrome of the same version as this one.`,
  }),
  name: nameSchema,
});

const athleteInFile = z.strictObject({
  id: z.uuid(),
  version: fileVersionSchema,
  name: nameSchema,
  profile: athleteProfileSchema,
});
const drillInFile = z.strictObject({ ...drillSchema.shape, version: fileVersionSchema });
const eventInFile = z.strictObject({ ...eventSchema.shape, version: fileVersionSchema });
const planInFile = z.strictObject({ id: z.uuid(), version: fileVersionSchema, body: planBodySchema });
const startInFile = z.strictObject({
  id: z.uuid(),
  version: fileVersionSchema,
  ...startShape,
  order: startRowSchema.shape.order.optional(),
  plan: planInFile,
});
const editInFile = z.strictObject({
  ...planEditSchema.omit({ id: true }).shape,
  version: fileVersionSchema,
  at: instantSchema,
});
const runInFile = z.strictObject({
  id: z.uuid(),
  startId: z.uuid().nullable(),
  athleteId: z.uuid().nullable(),
  athleteName: nameSchema,
  title: nameSchema,
  venue: noteSchema,
  zone: startShape.zone,
  startsAt: instantSchema,
  createdAt: instantSchema,
  plan: runPlanSchema,
});

/** A day with the one thing it is of. */
const dayInFile = z.strictObject({
  id: z.uuid(),
  ...daySchema.shape,
  version: fileVersionSchema,
  startId: z.uuid().nullable(),
  eventId: z.uuid().nullable(),
  athleteId: z.uuid().nullable(),
});

/** One line of a file after its head. */
export const clubRecordSchema = z.discriminatedUnion("record", [
  z.strictObject({ record: z.literal("figures"), ...figuresSchema.shape }),
  z.strictObject({ record: z.literal("athlete"), ...athleteInFile.shape }),
  z.strictObject({ record: z.literal("drill"), ...drillInFile.shape }),
  z.strictObject({ record: z.literal("event"), ...eventInFile.shape }),
  z.strictObject({ record: z.literal("template"), ...templateSchema.shape }),
  z.strictObject({ record: z.literal("order"), ...orderInFileSchema.shape }),
  z.strictObject({ record: z.literal("start"), ...startInFile.shape }),
  z.strictObject({ record: z.literal("ticks"), startId: z.uuid(), ...ticksSchema.shape }),
  z.strictObject({ record: z.literal("edit"), planId: z.uuid(), ...editInFile.shape }),
  z
    .strictObject({ record: z.literal("day"), ...dayInFile.shape })
    .refine((day) => [day.startId, day.eventId, day.athleteId].filter((id) => id !== null).length === 1, {
      path: ["startId"],
      error: "A day is of one start, of one event or of one athlete.",
    }),
  z.strictObject({ record: z.literal("run"), ...runInFile.shape }),
  z.strictObject({
    record: z.literal("presses"),
    runId: z.uuid(),
    events: z.array(runEventSchema).max(MOST.pressesTogether),
  }),
  z.strictObject({
    record: z.literal("end"),
    /** How many records there are before it, the head not counted. */
    records: z.number().int().min(0).max(100_000_000),
  }),
]);

export type ClubHead = z.infer<typeof clubHeadSchema>;
export type ClubRecord = z.infer<typeof clubRecordSchema>;

/** Whether the club takes the file's name, or keeps its own. */
export const importQuerySchema = z.strictObject({ name: z.enum(["keep", "take"]).default("keep") });

/** Whether an export has the earlier versions of warm-ups, which are most of it. */
export const exportQuerySchema = z.strictObject({ edits: z.enum(["yes", "no"]).default("yes") });
