import { z } from "zod";
import { intensitySchema } from "../words/intensity";
import { labelSchema } from "../words/text";

/** What a scale orders. */
export const scaleKindSchema = z.enum(["grade", "distance", "position", "realism", "layout"]);

/** One thing on a scale: what it asks of the athlete, and how often it succeeds. */
export const scaleItemSchema = z.strictObject({
  name: labelSchema(60, "Name it."),
  intensity: intensitySchema,
  /** How often it succeeds, per cent; null where nobody knows. */
  chancePercent: z
    .number()
    .int()
    .min(1, { error: "The chance is 1 to 99 %." })
    .max(99, { error: "The chance is 1 to 99 %." })
    .nullable(),
});

export type ScaleItem = z.infer<typeof scaleItemSchema>;

/** An athlete's own order of things from easy to hard. */
export const scaleSchema = z.strictObject({
  id: z.uuid(),
  name: scaleItemSchema.shape.name,
  kind: scaleKindSchema,
  items: z
    .array(scaleItemSchema)
    .min(1, { error: "A scale has at least one step." })
    .max(24, { error: "A scale has at most 24 steps." })
    .refine(
      (items) => items.every((item, i) => i === 0 || item.intensity >= (items[i - 1]?.intensity ?? 0)),
      {
        error: "A scale goes from easy to hard: a step may not be easier than the one before it.",
      },
    )
    .refine((items) => new Set(items.map((i) => i.name)).size === items.length, {
      error: "Two steps of the scale have the same name.",
    }),
});

export type Scale = z.infer<typeof scaleSchema>;
