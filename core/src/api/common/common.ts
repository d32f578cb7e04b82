import { z } from "zod";
import { verbatimSchema } from "../../words/text";

export { instantSchema } from "../../time/instant";

/** A version as last read; a write names the one it was made against. */
export const versionSchema = z.number().int().min(1).max(2_000_000_000);

/** The same in an address. */
export const askedVersionSchema = z.coerce
  .number({ error: "Give the version that was read." })
  .int()
  .min(1)
  .max(2_000_000_000);

/** Highest version that a file may bring: a billion edits are left above it. Custom. */
export const fileVersionSchema = z.number().int().min(1).max(1_000_000, {
  error: "A version in a file is at most 1,000,000.",
});

/** The id of what is made, by whoever makes it, so that sending twice makes one; made by the server unless given. */
export const newIdSchema = z.uuid({ error: "The id is not a UUID." }).optional();

/** The club in an address. */
export const clubParamsSchema = z.strictObject({ clubId: z.uuid({ error: "The id is not a UUID." }) });

/** A thing in a club. */
export const idParamsSchema = z.strictObject({
  ...clubParamsSchema.shape,
  id: z.uuid({ error: "The id is not a UUID." }),
});

/** The secret part of an invitation or of a shared link. */
export const tokenParamsSchema = z.strictObject({ token: verbatimSchema(200) });

/** A place in a list that is read in pages: an instant and, of several at that instant, an id. */
export const cursorSchema = z
  .string()
  .max(80)
  .regex(/^\d{4}-\d\d-\d\dT[\d:.]{8,15}Z~[0-9a-f-]{36}$/, { error: "Pass `next` of the page before." });

/** The whole answer where there is nothing to say but that it is done. */
export const doneSchema = z.strictObject({
  /** Always so: other answers are refusals. */
  done: z.literal(true),
});
