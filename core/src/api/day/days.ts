import { z } from "zod";
import { dayStepsSchema } from "../../day/daySteps";
import { versionSchema } from "../common/common";

/**
 * The day of a start, or what days of an event or an athlete begin with: version 1 and null where none was made; and what
 * writing it sends, against the version that was read. Null puts it back to the usual one.
 */
export const daySchema = z.strictObject({ version: versionSchema, steps: dayStepsSchema.nullable() });

export type Day = z.infer<typeof daySchema>;
