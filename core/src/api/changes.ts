import { z } from "zod";
import { TOPICS } from "./topics";

/** The data of one event on a stream of changes: which start or run it is about, where it is about one. */
export const changeSchema = z.strictObject({ topic: z.enum(TOPICS), id: z.uuid().optional() });

export type Change = z.infer<typeof changeSchema>;
