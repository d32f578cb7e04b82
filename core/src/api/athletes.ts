import { z } from "zod";
import { nameSchema } from "../plan/text";

export const athleteInputSchema = z.strictObject({ name: nameSchema });
export const athleteSchema = z.strictObject({ id: z.uuid(), name: z.string() });
export const athleteListSchema = z.strictObject({ athletes: z.array(athleteSchema) });

export type AthleteInput = z.infer<typeof athleteInputSchema>;
export type Athlete = z.infer<typeof athleteSchema>;
