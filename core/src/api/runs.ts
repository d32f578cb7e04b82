import { z } from "zod";
import { runEventSchema } from "../run/runEvent";
import { runPlanSchema } from "../run/runPlan";
import { instantSchema } from "./common";

export const runInputSchema = z.strictObject({
  /** Made by the client, so that sending twice makes one run. */
  id: z.uuid(),
  startId: z.uuid(),
  plan: runPlanSchema,
});

/** A press whose time a database can hold. */
export const boundedEventSchema = runEventSchema.refine((e) => instantSchema.safeParse(e.at).success, {
  path: ["at"],
  error: "Give a time between the years 2000 and 2100.",
});

export const runEventsInputSchema = z.strictObject({
  events: z.array(boundedEventSchema).min(1).max(500),
});
/** The ids the server now holds, whether they came with this request or an earlier one. */
export const runEventsAnswerSchema = z.strictObject({ recorded: z.array(z.uuid()) });

const about = {
  id: z.uuid(),
  /** Null when the start has been deleted: a log outlives it. */
  startId: z.uuid().nullable(),
  athleteName: z.string(),
  title: z.string(),
  venue: z.string(),
  zone: z.string(),
  startsAt: z.iso.datetime(),
};

export const runSchema = z.strictObject({
  ...about,
  plan: runPlanSchema,
  events: z.array(runEventSchema),
});

export const runRowSchema = z.strictObject({
  ...about,
  kind: z.enum(["warm-up", "cool-down"]),
  beganAt: z.iso.datetime().nullable(),
  endedAt: z.iso.datetime().nullable(),
  drills: z.number().int(),
  done: z.number().int(),
  skipped: z.number().int(),
  plannedSeconds: z.number(),
  realSeconds: z.number(),
});

export const runListQuerySchema = z.strictObject({
  /** Only runs made before this instant: the last one of the page before. */
  before: instantSchema.optional(),
});
export const runListSchema = z.strictObject({
  runs: z.array(runRowSchema),
  /** Pass as `before` for the next page; null at the end. */
  next: z.iso.datetime().nullable(),
});

export type RunEventsInput = z.infer<typeof runEventsInputSchema>;
export type RunInput = z.infer<typeof runInputSchema>;
export type Run = z.infer<typeof runSchema>;
export type RunRow = z.infer<typeof runRowSchema>;
