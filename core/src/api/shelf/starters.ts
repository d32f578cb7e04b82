import { z } from "zod";
import { verbatimSchema } from "../../words/text";

/** A starter shelf that ships with the server. */
export const starterSchema = z.strictObject({
  key: z.string(),
  name: z.string(),
  about: z.string(),
  /** How many drills it has, and how many of them the club's shelf has already. */
  drills: z.number().int(),
  installed: z.number().int(),
  /** The events that come with it, by the ids that they have in a club which has none of the same name. */
  events: z.array(z.strictObject({ id: z.uuid(), name: z.string() })).max(8),
});

/** Starter shelves, and how much of each the club has. */
export const starterListSchema = z.strictObject({ starters: z.array(starterSchema).max(100) });

/** One that ships with the server by its key, or the text of a file. */
export const starterInstallSchema = z.union([
  z.strictObject({ key: verbatimSchema(100) }),
  z.strictObject({ text: verbatimSchema(900_000, "The file is too large.") }),
]);

/** The starter that every sport's brings with it: without it there is nothing to warm with. */
export const GENERAL_STARTER = "general-preparation";

/** What came onto the shelf, and what was there before and was left as it is; of everything that came with it. */
export const starterInstalledSchema = z.strictObject({
  name: z.string(),
  added: z.number().int(),
  kept: z.number().int(),
});

export type Starter = z.infer<typeof starterSchema>;
export type StarterInstall = z.infer<typeof starterInstallSchema>;
