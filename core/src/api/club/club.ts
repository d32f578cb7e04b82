import { z } from "zod";
import { nameSchema, verbatimSchema } from "../../words/text";

/** A club as the server answers. */
export const clubSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
});

/** What making or renaming a club sends. */
export const clubInputSchema = z.strictObject({ name: nameSchema });

/** What creating another club sends. The sender may give its id, so that sending twice makes one. */
export const newClubSchema = z.strictObject({ id: z.uuid().optional(), name: nameSchema });

/** Deleting asks for the club's name, so that it is never a slip. */
export const clubDeletionSchema = z.strictObject({ name: verbatimSchema(200) });

export type Club = z.infer<typeof clubSchema>;
