import { z } from "zod";

/** Most findings of one plan: every check of every drill, and more than there ever are. */
const MOST_FINDINGS = 5_000;

/** What judging a plan is answered with: the same as the command line prints. */
export const judgedSchema = z.strictObject({
  forecast: z.looseObject({
    /** The state at the start, in a line; null where nothing is done. */
    line: z.string().nullable(),
    sentence: z.string(),
  }),
  findings: z
    .array(
      z.strictObject({
        severity: z.enum(["stop", "warn", "hint"]),
        code: z.string(),
        path: z.string(),
        drill: z.string().nullable(),
        words: z.string(),
        mends: z.array(z.string()).max(3),
      }),
    )
    .max(MOST_FINDINGS),
});
