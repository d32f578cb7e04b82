import { z } from "zod";

/** Which running order is followed. */
export const orderQuerySchema = z.strictObject({
  /** The simulated day: the same seed gives the same one. */
  seed: z.coerce
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1),
});

/** What it says. */
export const orderNewsSchema = z.strictObject({
  startsAt: z.iso.datetime(),
  lateSeconds: z.number().int().min(0),
  before: z.number().int().min(0),
  simulated: z.boolean(),
});
