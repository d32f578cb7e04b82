import { z } from "zod";

/** Effort, percent of maximum. */
export const intensitySchema = z
  .number({ error: "Give the intensity as a whole per cent." })
  .int({ error: "Give the intensity as a whole per cent." })
  .min(0, { error: "Intensity is 0 to 100 %." })
  .max(100, { error: "Intensity is 0 to 100 %." });
