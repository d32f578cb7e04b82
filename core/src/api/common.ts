import { z } from "zod";
import { clubParamsSchema } from "./club";

/** A version as last read; a write names the one it was made against. */
export const versionSchema = z.number().int().min(1).max(2_000_000_000);

/** A thing in a club. */
export const idParamsSchema = z.strictObject({
  ...clubParamsSchema.shape,
  id: z.uuid({ error: "The id is not a UUID." }),
});

/** The secret part of an invitation or of a shared link. */
export const tokenParamsSchema = z.strictObject({ token: z.string().max(200) });

/** An ISO 8601 instant within the years that people plan for, as the clients and PostgreSQL both hold it. */
export const instantSchema = z.iso
  .datetime({ error: "Give the time as an ISO 8601 instant in UTC." })
  .refine((s) => s >= "2000-01-01" && s < "2100-01-01", {
    error: "Give a time between the years 2000 and 2100.",
  });

/** The whole answer where there is nothing to say but that it is done. */
export const doneSchema = z.strictObject({ done: z.literal(true) });
