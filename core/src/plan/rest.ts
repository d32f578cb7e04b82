import { z } from "zod";

/** The rest owed after a drill, before the next one that is work: none, a fixed time, or a multiple of its own work. */
export const restAfterSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("seconds"),
    seconds: z
      .number()
      .int({ error: "A rest is in whole seconds." })
      .min(1, { error: "A rest is at least 1 s; for none, take it out." })
      .max(7200, { error: "A rest is at most 2 hours." }),
  }),
  z.strictObject({
    kind: z.literal("times"),
    times: z
      .number()
      .int({ error: "A multiple is a whole number." })
      .min(1, { error: "The rest is 1 to 20 times the work." })
      .max(20, { error: "The rest is 1 to 20 times the work." }),
  }),
]);

export type RestAfter = z.infer<typeof restAfterSchema>;

/**
 * Seconds of rest that are owed after a drill.
 * @param workSeconds the drill's own work at the level it is done at
 */
export function restOwed(rest: RestAfter | undefined, workSeconds: number): number {
  if (!rest) return 0;
  return rest.kind === "seconds" ? rest.seconds : rest.times * workSeconds;
}
