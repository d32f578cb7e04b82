import { z } from "zod";
import { ERROR_CODES } from "./errorCodes";
import { MOST } from "./most";

/** The one shape of every error answer. */
export const apiErrorSchema = z.strictObject({
  code: z.enum(ERROR_CODES),
  /** What happened and what to do, for a person to read. */
  message: z.string(),
  /** The field at fault, dotted ("items.3.dose.sets.floor"); null when it is not one field. */
  path: z.string().nullable(),
  /** Fields at fault, the first one included; looking for them stops after so many. */
  problems: z
    .array(z.strictObject({ path: z.string(), message: z.string() }))
    .max(MOST.problems)
    .optional(),
  /** With `version_conflict`: the resource as it now stands. */
  current: z.unknown().optional(),
  /** With `version_conflict`: who saved that, where it is known. */
  by: z.string().optional(),
});

export type ApiError = z.infer<typeof apiErrorSchema>;
