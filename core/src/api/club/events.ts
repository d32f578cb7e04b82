import { z } from "zod";
import { eventTypeShape } from "../../event/eventType";
import { newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** An event of the club, to be used for any number of starts. */
export const eventInputSchema = z.strictObject({ id: newIdSchema, ...eventTypeShape });

/** An event as the server answers. */
export const eventSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  /** Offered for new starts no more; starts that have it keep it. */
  archived: z.boolean(),
  ...eventTypeShape,
});

/** What writing an event over sends, against the version that was read. */
export const eventWriteSchema = z.strictObject({
  /** The version this edit was made against; an older one than the server's is refused. */
  version: versionSchema,
  archived: z.boolean(),
  ...eventTypeShape,
});

/** Every event of a club. */
export const eventListSchema = z.strictObject({ events: z.array(eventSchema).max(MOST.events) });

export type EventInput = z.infer<typeof eventInputSchema>;
export type EventWrite = z.infer<typeof eventWriteSchema>;
export type ClubEvent = z.infer<typeof eventSchema>;
