import { z } from "zod";
import { nameSchema } from "../plan/text";

export const clubSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
});

export const clubInputSchema = z.strictObject({ name: nameSchema });

/** Deleting asks for the club's name, so that it is never a slip. */
export const clubDeletionSchema = z.strictObject({ name: z.string().max(200) });

export const clubParamsSchema = z.strictObject({ clubId: z.uuid({ error: "The id is not a UUID." }) });

export type Club = z.infer<typeof clubSchema>;
