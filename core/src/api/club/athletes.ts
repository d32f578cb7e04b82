import { z } from "zod";
import { athleteProfileSchema } from "../../athlete/profile";
import { nameSchema } from "../../words/text";
import { newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** What making an athlete sends; the id is the client's, so that sending twice makes one. */
export const athleteInputSchema = z.strictObject({
  id: newIdSchema,
  name: nameSchema,
  profile: athleteProfileSchema.optional(),
});

/** Who, and nothing else about them. */
export const athleteRefSchema = z.strictObject({ id: z.uuid(), name: z.string() });

/** An athlete as the server answers. */
export const athleteSchema = z.strictObject({
  ...athleteRefSchema.shape,
  version: versionSchema,
  profile: athleteProfileSchema,
});

/** What writing an athlete over sends, against the version that was read. */
export const athleteWriteSchema = z.strictObject({
  /** The version this edit was made against; an older one than the server's is refused. */
  version: versionSchema,
  name: nameSchema,
  profile: athleteProfileSchema,
});

/** Every athlete of a club. */
export const athleteListSchema = z.strictObject({ athletes: z.array(athleteSchema).max(MOST.athletes) });

export type AthleteInput = z.infer<typeof athleteInputSchema>;
export type AthleteWrite = z.infer<typeof athleteWriteSchema>;
export type AthleteRef = z.infer<typeof athleteRefSchema>;
export type Athlete = z.infer<typeof athleteSchema>;
