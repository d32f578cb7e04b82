import { z } from "zod";

/** What may have changed in a club: a hint to read it again, never the news itself. */
export const topicSchema = z.enum(["club", "athletes", "drills", "events", "templates", "starts", "runs"]);

/** The data of one event on a stream of changes: which start or run it is about, where it is about one. */
export const changeSchema = z.strictObject({ topic: topicSchema, id: z.uuid().optional() });

export type Change = z.infer<typeof changeSchema>;
export type Topic = z.infer<typeof topicSchema>;
