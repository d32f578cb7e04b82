import { z } from "zod";
import { athleteProfileSchema, noProfile } from "../athlete/profile";
import { settingSchema, usualSetting } from "../conditions/setting";
import { planBodySchema } from "../plan/plan";
import { runEventSchema } from "../run/log/runEvent";
import { runPlanSchema } from "../run/steps/runPlan";
import { nameSchema, noteSchema } from "../words/text";
import { fileVersionSchema, instantSchema } from "./common";
import { drillSchema } from "./drills";
import { eventSchema } from "./events";
import { MOST } from "./most";
import { planEditSchema } from "./plans";
import { startShape } from "./starts";
import { templateSchema } from "./templates";

/*
 * A whole club as a file: everything that was coached, planned and logged. People's accounts, links and the audit trail
 * belong to the server it was made on and stay there.
 *
 * Since version 3 a file is lines of JSON, each a record: the head, what there is in an order in which nothing names
 * what comes later, and the end, which counts the records. So neither who writes nor who reads it ever holds more than
 * one record, and a file that was cut short is known to be.
 */

/** The version of the format that this server writes. It reads those before as well. */
export const CLUB_FILE_VERSION = 3;

/** Longest line of a file, characters: a run of the most steps there can be. */
export const LONGEST_LINE = 2_000_000;

const FORMAT = z.literal("tonodrome-club", { error: "This is not an export of a club." });

/** The first line of a club's file. */
export const clubHeadSchema = z.strictObject({
  format: FORMAT,
  version: z.literal(CLUB_FILE_VERSION, {
    error: `This server reads exports of the versions 1 to ${CLUB_FILE_VERSION}. Export the club again where it came from with a Tonodrome of the same version as this one.`,
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

/** One line of a file after its head. */
export const clubRecordSchema = z.discriminatedUnion("record", [
  z.strictObject({ record: z.literal("athlete"), ...athleteInFile.shape }),
  z.strictObject({ record: z.literal("drill"), ...drillInFile.shape }),
  z.strictObject({ record: z.literal("event"), ...eventInFile.shape }),
  z.strictObject({ record: z.literal("template"), ...templateSchema.shape }),
  z.strictObject({ record: z.literal("start"), ...startInFile.shape }),
  z.strictObject({ record: z.literal("edit"), planId: z.uuid(), ...editInFile.shape }),
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

/** Most characters of a file of the versions before, which were one document and are read whole. */
export const LONGEST_OLD_FILE = 20_000_000;

/** A file of version 1 or 2: one JSON document. */
export const oldClubFileSchema = z.strictObject({
  format: FORMAT,
  version: z.literal([1, 2], {
    error: `This server reads exports of the versions 1 to ${CLUB_FILE_VERSION}. Export the club again where it came from with a Tonodrome of the same version as this one.`,
  }),
  name: nameSchema,
  athletes: z
    .array(
      z.strictObject({
        ...athleteInFile.shape,
        // Not in files of version 1.
        version: fileVersionSchema.default(1),
        profile: athleteProfileSchema.default(noProfile),
      }),
    )
    .max(MOST.athletes),
  drills: z.array(drillInFile).max(MOST.drills),
  events: z.array(eventInFile).max(MOST.events).default([]),
  templates: z.array(templateSchema).max(MOST.templates).default([]),
  starts: z
    .array(
      z.strictObject({
        ...startInFile.shape,
        eventId: startShape.eventId.default(null),
        setting: settingSchema.default(usualSetting),
        plan: z.strictObject({ ...planInFile.shape, edits: z.array(editInFile).max(MOST.edits * 2) }),
      }),
    )
    .max(MOST.starts),
  runs: z
    .array(z.strictObject({ ...runInFile.shape, events: z.array(runEventSchema).max(MOST.presses) }))
    .max(MOST.runs),
});

export type OldClubFile = z.infer<typeof oldClubFileSchema>;

/** The records of a file of an earlier version, in the order of today's. */
export function* recordsOf(file: OldClubFile): Generator<ClubRecord> {
  for (const athlete of file.athletes) yield { record: "athlete", ...athlete };
  for (const drill of file.drills) yield { record: "drill", ...drill };
  for (const event of file.events) yield { record: "event", ...event };
  for (const template of file.templates) yield { record: "template", ...template };
  for (const { plan, ...start } of file.starts) {
    const { edits, ...now } = plan;
    yield { record: "start", ...start, plan: now };
    for (const edit of edits) yield { record: "edit", planId: plan.id, ...edit };
  }
  for (const { events, ...run } of file.runs) {
    yield { record: "run", ...run };
    for (let i = 0; i < events.length; i += MOST.pressesTogether)
      yield { record: "presses", runId: run.id, events: events.slice(i, i + MOST.pressesTogether) };
  }
}

/** Whether an export has the earlier versions of warm-ups, which are most of it. */
export const exportQuerySchema = z.strictObject({ edits: z.enum(["yes", "no"]).default("yes") });
