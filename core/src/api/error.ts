import { z } from "zod";
import { MOST } from "./most";

/** Every way the server refuses, in one list. docs/api.md says what each asks of the caller. */
export const errorCodeSchema = z.enum([
  "invalid_input",
  "signed_out",
  "wrong_password",
  "forbidden",
  "not_found",
  "version_conflict",
  "taken",
  "last_owner",
  "not_empty",
  "full",
  "link_over",
  "too_large",
  "unsupported_media_type",
  "too_many",
  "unavailable",
  "internal",
]);

/** The one shape of every error answer. */
export const apiErrorSchema = z.strictObject({
  code: errorCodeSchema,
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
export type ErrorCode = z.infer<typeof errorCodeSchema>;
