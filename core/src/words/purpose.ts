import { z } from "zod";

/** What a drill is for. */
export const purposeSchema = z.enum([
  "raise",
  "mobilise",
  "activate",
  "coordinate",
  "technical",
  "prime",
  "mental",
  "kit",
  "cool-down",
]);
export type Purpose = z.infer<typeof purposeSchema>;

/** All of them. */
export const PURPOSES: readonly Purpose[] = purposeSchema.options;
