import { z } from "zod";
import { TOPICS } from "./topics";

/** So many presses are told of by their ids; of more the run is read again. Custom. */
export const MOST_TOLD = 4;

/**
 * The data of one event on a stream of changes: which start or run it is about, where it is about one, and which presses a run
 * has more, where those are all that changed: whoever has them already need not read it again.
 */
export const changeSchema = z.strictObject({
  topic: z.enum(TOPICS),
  id: z.uuid().optional(),
  presses: z.array(z.uuid()).max(MOST_TOLD).optional(),
});

export type Change = z.infer<typeof changeSchema>;
