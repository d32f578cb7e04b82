import { z } from "zod";
import { conditionsSchema } from "../conditions/setting";
import { dayStepsSchema } from "../day/daySteps";
import { MOST_IN_GROUP } from "../group/group";
import { planBodySchema } from "../plan/plan";
import { runEventSchema } from "../run/log/runEvent";
import { runPlanSchema } from "../run/steps/runPlan";
import { fitContextSchema } from "../venue/context";
import { instantSchema, newIdSchema, versionSchema } from "./common";
import { MOST } from "./most";

/** A link lasts at most so long after its start, days, wherever that moves. Custom. */
export const LONGEST_SHARE_DAYS = 30;

/** How long a shared link lasts: to the end of the start's day, wherever that moves, or to an instant. */
export const shareInputSchema = z.strictObject({
  id: newIdSchema,
  until: z.union([z.literal("day"), instantSchema]),
});

/** A link that still works. Its secret is told once, when it is made. */
export const shareSchema = z.strictObject({
  id: z.uuid(),
  createdAt: z.iso.datetime(),
  expiresAt: z.iso.datetime(),
});
/** A link just made, with the secret that is shown once. */
export const newShareSchema = z.strictObject({ ...shareSchema.shape, token: z.string() });
/** Links that show one start. */
export const shareListSchema = z.strictObject({ shares: z.array(shareSchema).max(MOST.sharesOfStart) });

/** Every link of the club that works, for its owners. */
export const clubShareSchema = z.strictObject({
  ...shareSchema.shape,
  startId: z.uuid(),
  title: z.string(),
  athleteName: z.string(),
  /** Who made it, as they are called now. */
  madeBy: z.string().nullable(),
});
/** Links of a club that work. */
export const clubShareListSchema = z.strictObject({ shares: z.array(clubShareSchema).max(MOST.shares) });

/**
 * Everything a shared link shows, and nothing else: a field that an athlete or a start gains later is not shared until
 * it is named here. Health notes never are.
 */
export const sharedSchema = z.strictObject({
  clubName: z.string(),
  athleteName: z.string(),
  title: z.string(),
  venue: z.string(),
  zone: z.string(),
  startsAt: z.iso.datetime(),
  readyAt: z.iso.datetime(),
  plan: planBodySchema,
  /** What it is like on the day, for the word on the state at the start. */
  conditions: conditionsSchema,
  /** What the day allows, so that it is fitted as the coach sees it. */
  context: fitContextSchema,
  /** The day counted back from the start: its steps, and by what a calendar knows them again. */
  day: z.strictObject({ id: z.uuid(), version: versionSchema, steps: dayStepsSchema }),
  /** How many warm up together; 1 for the athlete alone. Who the others are is not told. */
  group: z.number().int().min(1).max(MOST_IN_GROUP),
  /** The run under way, so that the athlete's own phone can follow it; null when there is none. */
  run: z
    .strictObject({
      plan: runPlanSchema.omit({ source: true, group: true }),
      events: z.array(runEventSchema).max(MOST.presses),
    })
    .nullable(),
  expiresAt: z.iso.datetime(),
});

export type Share = z.infer<typeof shareSchema>;
export type ClubShare = z.infer<typeof clubShareSchema>;
export type Shared = z.infer<typeof sharedSchema>;
