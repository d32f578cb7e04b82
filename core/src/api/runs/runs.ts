import { z } from "zod";
import { MOST_DRILLS } from "../../plan/plan";
import { runEventSchema } from "../../run/log/runEvent";
import { runPlanSchema } from "../../run/steps/runPlan";
import { daySchema } from "../../time/instant";
import { cursorSchema } from "../common/common";
import { MOST } from "../common/most";

/** What making a run sends. */
export const runInputSchema = z.strictObject({
  /** Made by the client, so that sending twice makes one run. */
  id: z.uuid(),
  startId: z.uuid(),
  plan: runPlanSchema,
});

/** Presses sent together. */
export const runEventsInputSchema = z.strictObject({
  events: z.array(runEventSchema).min(1).max(MOST.pressesTogether),
});
/** The ids the server now holds, whether they came with this request or an earlier one. */
export const runEventsAnswerSchema = z.strictObject({
  /** The ids of all presses of this request: each is recorded once. */
  recorded: z.array(z.uuid()).max(MOST.pressesTogether),
});

/** Which presses of a run are asked for. */
export const newPressesQuerySchema = z.strictObject({
  /** Only those that came after this place: `last` of the answer before; 0 for all. */
  after: z.coerce
    .number({ error: "Pass `last` of the answer before." })
    .int()
    .min(0)
    .max(1_000_000_000_000)
    .default(0),
});
/** Presses of a run in the order in which they came, and the place of the last: more may have come by then. */
export const newPressesSchema = z.strictObject({
  events: z.array(runEventSchema).max(MOST.pressesTogether),
  last: z.number().int().min(0),
  /** Whether there are more after these. */
  more: z.boolean(),
});

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

/** A run with its presses. */
export const runSchema = z.strictObject({
  ...about,
  plan: runPlanSchema,
  events: z.array(runEventSchema).max(MOST.presses),
});

/** A run in the log, summed up. */
export const runRowSchema = z.strictObject({
  ...about,
  kind: z.enum(["warm-up", "cool-down"]),
  beganAt: z.iso.datetime().nullable(),
  endedAt: z.iso.datetime().nullable(),
  /** How many drills there were. */
  drills: z.number().int(),
  /** How many of them were done. */
  done: z.number().int(),
  /** How many of them were skipped. */
  skipped: z.number().int(),
  plannedSeconds: z.number(),
  realSeconds: z.number(),
});

/** A run that goes on on some device. */
export const openRunSchema = z.strictObject({
  id: z.uuid(),
  startId: z.uuid(),
  kind: z.enum(["warm-up", "cool-down"]),
  beganAt: z.iso.datetime().nullable(),
  /** Whoever runs it: who made it, or went on with it last; null where they are no member any more. */
  by: z.string().nullable(),
});
/** Runs that go on, the latest made first. */
export const openRunListSchema = z.strictObject({ runs: z.array(openRunSchema).max(MOST.page) });

/** Most warm-ups before that are looked back on. */
export const MOST_EARLIER = 20;

/** What an athlete's last warm-ups were made of, the latest first. */
export const earlierRunsSchema = z.strictObject({
  runs: z
    .array(
      z.strictObject({
        /** The day at the venue. */
        day: daySchema,
        /** Drills of the shelf that were planned, in order. */
        drillIds: z.array(z.uuid()).max(MOST_DRILLS),
        /** Seconds planned. */
        seconds: z.number(),
      }),
    )
    .max(MOST_EARLIER),
});

/** Which page of the log. */
export const runListQuerySchema = z.strictObject({
  /** Only runs made before this one: `next` of the page before. */
  before: cursorSchema.optional(),
});
/** A page of the log, newest first. */
export const runListSchema = z.strictObject({
  runs: z.array(runRowSchema).max(MOST.page),
  /** Pass as `before` for the next page; null at the end. */
  next: cursorSchema.nullable(),
});

export type RunEventsInput = z.infer<typeof runEventsInputSchema>;
export type RunInput = z.infer<typeof runInputSchema>;
export type OpenRun = z.infer<typeof openRunSchema>;
export type Run = z.infer<typeof runSchema>;
export type RunRow = z.infer<typeof runRowSchema>;
