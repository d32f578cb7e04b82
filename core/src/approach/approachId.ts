import { z } from "zod";

/** The named ways of warming up. */
export const approachIdSchema = z.enum([
  "compact",
  "even-stair",
  "long-and-sharp",
  "circuit-first",
  "secure-finish",
  "needs-first",
  "calm-rhythm",
]);
export type ApproachId = z.infer<typeof approachIdSchema>;
