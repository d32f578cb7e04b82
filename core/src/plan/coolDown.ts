import { z } from "zod";
import { intensitySchema } from "../words/intensity";
import { nameSchema, noteSchema } from "../words/text";

/** Most steps of a cool-down, and how long one of them lasts, seconds. Custom. */
export const MOST_COOL_DOWN_STEPS = 12;
export const COOL_DOWN_STEP = { least: 30, most: 1800 } as const;

/** One step of a cool-down. */
export const coolDownStepSchema = z.strictObject({
  /** Unique within it; made by the client. */
  id: z.uuid({ error: "Each step of a cool-down needs an id of its own (a UUID)." }),
  name: nameSchema,
  intensity: intensitySchema,
  seconds: z
    .number()
    .int({ error: "A step lasts whole seconds." })
    .min(COOL_DOWN_STEP.least, { error: "A step of a cool-down lasts 30 s to 30 min." })
    .max(COOL_DOWN_STEP.most, { error: "A step of a cool-down lasts 30 s to 30 min." }),
  focus: noteSchema,
  /** The shelf's drill that it came from. */
  drillId: z.uuid().optional(),
  /** Done at the pace of breath. */
  breath: z.literal(true).optional(),
});

export type CoolDownStep = z.infer<typeof coolDownStepSchema>;

/** A cool-down as somebody set it: it counts, whatever is usual after the event. */
export const coolDownSchema = z
  .array(coolDownStepSchema)
  .min(1, { error: "A cool-down has at least one step; leave it out for the usual one." })
  .max(MOST_COOL_DOWN_STEPS, { error: `A cool-down has at most ${MOST_COOL_DOWN_STEPS} steps.` })
  .refine((steps) => new Set(steps.map((s) => s.id)).size === steps.length, {
    error: "Two steps of the cool-down share an id: give each its own.",
  });

/** Seconds that a cool-down lasts. */
export const coolDownSeconds = (steps: readonly Pick<CoolDownStep, "seconds">[]): number =>
  steps.reduce((sum, s) => sum + s.seconds, 0);
