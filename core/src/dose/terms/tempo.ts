import { z } from "zod";

/** Whole or half seconds. */
export const halfSeconds = (least: number, most: number, error: string) =>
  z
    .number({ error })
    .multipleOf(0.5, { error: "Give whole or half seconds." })
    .min(least, { error })
    .max(most, { error });

const beat = halfSeconds(0, 30, "A part of a rep takes 0 to 30 s.");

/** How a repetition is divided, whole or half seconds. */
export const tempoSchema = z.strictObject({ down: beat, hold: beat, up: beat });
