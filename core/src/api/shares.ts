import { z } from "zod";
import { fitContextSchema } from "../day/context";
import { planBodySchema } from "../plan/plan";
import { runEventSchema } from "../run/runEvent";
import { runPlanSchema } from "../run/runPlan";
import { instantSchema } from "./common";

/** How long a shared link lasts: to the end of the start's day, wherever that moves, or to an instant. */
export const shareInputSchema = z.strictObject({ until: z.union([z.literal("day"), instantSchema]) });

/** A link that still works. Its secret is told once, when it is made. */
export const shareSchema = z.strictObject({
  id: z.uuid(),
  createdAt: z.iso.datetime(),
  expiresAt: z.iso.datetime(),
});
export const newShareSchema = z.strictObject({ ...shareSchema.shape, token: z.string() });
export const shareListSchema = z.strictObject({ shares: z.array(shareSchema) });

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
  /** What the day allows, so that it is fitted as the coach sees it. */
  context: fitContextSchema,
  /** The run under way, so that the athlete's own phone can follow it; null when there is none. */
  run: z
    .strictObject({
      plan: runPlanSchema.omit({ source: true }),
      events: z.array(runEventSchema),
    })
    .nullable(),
  expiresAt: z.iso.datetime(),
});

export type Share = z.infer<typeof shareSchema>;
export type Shared = z.infer<typeof sharedSchema>;
