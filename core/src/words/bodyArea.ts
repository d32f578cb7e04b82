import { z } from "zod";

/** Parts of the body that a drill warms or loads, head to foot. */
export const bodyAreaSchema = z.enum([
  "neck",
  "shoulder",
  "elbow",
  "wrist",
  "hand",
  "back",
  "trunk",
  "hip",
  "groin",
  "thigh",
  "hamstring",
  "knee",
  "calf",
  "ankle",
  "foot",
]);
export type BodyArea = z.infer<typeof bodyAreaSchema>;

/** All of them. */
export const BODY_AREAS: readonly BodyArea[] = bodyAreaSchema.options;

/** Some of them, each at most once. */
export const bodyAreasSchema = z
  .array(bodyAreaSchema)
  .max(BODY_AREAS.length)
  .refine((areas) => new Set(areas).size === areas.length, { error: "A part of the body is named twice." });
