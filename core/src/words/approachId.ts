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

const NAMES: Record<ApproachId, string> = {
  compact: "Compact",
  "even-stair": "Even stair",
  "long-and-sharp": "Long and sharp",
  "circuit-first": "Circuit straight in",
  "secure-finish": "Secure finish",
  "needs-first": "Needs first",
  "calm-rhythm": "Calm rhythm",
};

/** What an approach is called. */
export function approachName(id: ApproachId): string {
  return NAMES[id];
}
