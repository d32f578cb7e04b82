import { z } from "zod";

export const clubSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  /** The server's clock when it answered, so that a device can tell how far off its own is. */
  now: z.iso.datetime(),
});

export type Club = z.infer<typeof clubSchema>;
