import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { DAY_SECONDS } from "../time/units";
import { bodyAreasSchema } from "../words/bodyArea";
import { intensitySchema } from "../words/intensity";
import { nameSchema, tagSchema } from "../words/text";

/** Effort profile of an event: what it asks of the body, not how hard (that is its target level, per cent). */
export const effortProfileSchema = z.enum([
  "short-explosive",
  "short-hard",
  "long-sustained",
  "precision",
  "repeated-bouts",
]);
export type EffortProfile = z.infer<typeof effortProfileSchema>;

/** All of them. */
export const EFFORT_PROFILES: readonly EffortProfile[] = effortProfileSchema.options;

/** Something that happens at a fixed time before the start. */
export const fixedPointSchema = z.strictObject({
  name: tagSchema,
  /** Minutes before the start at which it begins. */
  minutesBefore: z.number().int().min(0).max(1440),
  /** How long it takes, minutes. */
  minutesLong: z.number().int().min(0).max(240),
  /** Whether the athlete cannot practise any more after it. */
  closesPractice: z.boolean(),
  /** Where it is; left out, wherever the athlete is. */
  place: tagSchema.optional(),
});

export type FixedPoint = z.infer<typeof fixedPointSchema>;

/** What an event asks of whoever starts in it, whichever day it is. */
export const eventTypeShape = {
  name: nameSchema,
  /** What it asks of the body. */
  effort: effortProfileSchema,
  /** Seconds that the event itself lasts. */
  lengthSeconds: z.number().int().min(1, { error: "It lasts at least 1 s." }).max(DAY_SECONDS),
  /** The sport's own actions that are used in it. */
  actions: tagsSchema("actions", 16),
  /** Effort it peaks at, per cent. */
  targetLevel: intensitySchema,
  /** Parts of the body it uses. */
  areas: bodyAreasSchema,
  fixedPoints: z
    .array(fixedPointSchema)
    .max(8, { error: "At most 8 fixed points." })
    .refine((points) => points.every((p) => p.minutesLong <= p.minutesBefore), {
      error: "A fixed point may not last beyond the start.",
    }),
  /** What has to be there and ready. */
  kit: tagsSchema("pieces of kit", 24),
  /** Where its warm-up and the event happen. */
  places: tagsSchema("places", 8),
};

/** An event by itself. */
export const eventTypeSchema = z.strictObject(eventTypeShape);

export type EventType = z.infer<typeof eventTypeSchema>;

/** An event of which only the name is known. */
export function plainEvent(name: string): EventType {
  return {
    name,
    effort: "short-hard",
    lengthSeconds: 180,
    actions: [],
    targetLevel: 90,
    areas: [],
    fixedPoints: [],
    kit: [],
    places: [],
  };
}
