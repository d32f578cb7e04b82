import { z } from "zod";
import { planBodySchema } from "../plan/plan";
import { fitContextSchema, LONGEST_DAY, openDay } from "../venue/context";
import type { Fault } from "../words/fault";

/** Most characters a file may have: far more than the largest plan that is taken. */
export const LONGEST_FILE = 4_000_000;

/** One plan with its day, to be fitted away from the application. docs/schema has it as JSON Schema. */
export const fitFileSchema = z.strictObject({
  format: z.literal("tonodrome-fit", { error: 'The format is "tonodrome-fit".' }),
  version: z.literal(1, { error: "This reads version 1." }),
  /** Whole seconds between the earliest beginning and the start. */
  availableSeconds: z
    .number({ error: "Give the time available in seconds." })
    .int({ error: "The time available is in whole seconds." })
    .min(0, { error: "The time available is 0 s or more." })
    .max(LONGEST_DAY, { error: "The time available is at most a day, 86400 s." }),
  plan: planBodySchema,
  /** What the day allows; left out, every place is open and nothing is fixed but the start. */
  context: fitContextSchema.default(openDay),
});

export type FitFile = z.infer<typeof fitFileSchema>;

/** Reads a file strictly: all of it, or what is wrong with it. */
export function readFitFile(text: string): { file: FitFile } | { faults: Fault[] } {
  if (text.length > LONGEST_FILE)
    return { faults: [{ path: [], message: `The file is too long: at most ${LONGEST_FILE} characters.` }] };
  let data: unknown;
  try {
    // Some editors put a byte-order mark before everything.
    data = JSON.parse(text.replace(/^\ufeff/, ""));
  } catch (error) {
    return { faults: [{ path: [], message: `This is not JSON: ${(error as Error).message}` }] };
  }
  const read = fitFileSchema.safeParse(data);
  if (read.success) return { file: read.data };
  return { faults: read.error.issues.map((i) => ({ path: i.path as Fault["path"], message: i.message })) };
}
