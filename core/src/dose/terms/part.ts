import { z } from "zod";
import { DAY_SECONDS } from "../../time/units";
import { lineSchema } from "../../words/text";
import { tempoSchema } from "./tempo";

/** A stretch of a drill that is counted through while it is run: a set, a rest, a change of sides. */
export const dosePartSchema = z.strictObject({
  kind: z.enum(["work", "rest", "change"]),
  /** @example "Set 2 of 3, left" */
  words: lineSchema(120),
  /** Seconds. */
  seconds: z.number().int().min(0).max(DAY_SECONDS),
  /** What is counted within it, one after the other. */
  reps: z.number().int().min(1).max(400).optional(),
  /** Seconds of each of them. */
  repSeconds: z.number().min(0.05).max(1800).optional(),
  /** How each is divided, seconds. */
  tempo: tempoSchema.optional(),
});

export type DosePart = z.infer<typeof dosePartSchema>;
