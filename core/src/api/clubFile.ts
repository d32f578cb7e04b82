import { z } from "zod";
import { athleteProfileSchema, noProfile } from "../athlete/profile";
import { settingSchema, usualSetting } from "../event/setting";
import { nameSchema, noteSchema } from "../plan/text";
import { runPlanSchema } from "../run/runPlan";
import { instantSchema, versionSchema } from "./common";
import { drillSchema } from "./drills";
import { eventSchema } from "./events";
import { planEditSchema, planSchema } from "./plans";
import { boundedEventSchema } from "./runs";
import { startShape } from "./starts";
import { templateSchema } from "./templates";

/** The version of the format that this server writes. It reads the one before as well. */
export const CLUB_FILE_VERSION = 2;

const startInFile = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  ...startShape,
  // Not in files of version 1.
  eventId: startShape.eventId.default(null),
  setting: settingSchema.default(usualSetting),
  plan: z.strictObject({ ...planSchema.shape, edits: z.array(planEditSchema.extend({ at: instantSchema })) }),
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
  events: z.array(boundedEventSchema),
});

/**
 * A whole club as one JSON document: everything that was coached, planned and logged. People's accounts, links and the
 * audit trail belong to the server it was made on and stay there.
 */
export const clubFileSchema = z
  .strictObject({
    format: z.literal("tonodrome-club", { error: "This is not an export of a club." }),
    version: z.literal([1, CLUB_FILE_VERSION], {
      error: `This server reads exports of the versions 1 and ${CLUB_FILE_VERSION}. Export the club again where it came from with a Tonodrome of the same version as this one.`,
    }),
    name: nameSchema,
    athletes: z.array(
      z.strictObject({
        id: z.uuid(),
        version: versionSchema.default(1),
        name: nameSchema,
        profile: athleteProfileSchema.default(noProfile),
      }),
    ),
    drills: z.array(drillSchema),
    events: z.array(eventSchema).default([]),
    templates: z.array(templateSchema).default([]),
    starts: z.array(startInFile),
    runs: z.array(runInFile),
  })
  .superRefine((file, context) => {
    const fault = (path: (string | number)[], message: string) =>
      context.addIssue({ code: "custom", path, message });
    const ids = (list: readonly { id: string }[], name: string): Set<string> => {
      const seen = new Set<string>();
      list.forEach(({ id }, i) => {
        if (seen.has(id)) fault([name, i, "id"], "This id is in the list twice.");
        seen.add(id);
      });
      return seen;
    };
    ids(file.drills, "drills");
    ids(file.runs, "runs");
    ids(file.templates, "templates");
    const events = ids(file.events, "events");
    ids(
      file.starts.map((s) => s.plan),
      "starts",
    );
    const athletes = ids(file.athletes, "athletes");
    const starts = ids(file.starts, "starts");
    file.starts.forEach((s, i) => {
      if (!athletes.has(s.athleteId)) fault(["starts", i, "athleteId"], "This athlete is not in the file.");
      if (s.eventId && !events.has(s.eventId))
        fault(["starts", i, "eventId"], "This event is not in the file.");
    });
    file.runs.forEach((r, i) => {
      if (r.athleteId && !athletes.has(r.athleteId))
        fault(["runs", i, "athleteId"], "This athlete is not in the file.");
      if (r.startId && !starts.has(r.startId))
        fault(["runs", i, "startId"], "This start is not in the file.");
      if (new Set(r.events.map((e) => e.id)).size < r.events.length)
        fault(["runs", i, "events"], "An event is in the list twice.");
    });
  });

export type ClubFile = z.infer<typeof clubFileSchema>;
