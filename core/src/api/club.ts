import { z } from "zod";

export const clubSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
});

export type Club = z.infer<typeof clubSchema>;
