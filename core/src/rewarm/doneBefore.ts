import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { intensitySchema } from "../words/intensity";
import { nameSchema } from "../words/text";
import { REMEMBERED_SECONDS } from "./memory";

/** Most that is remembered of a day: three starts with long warm-ups. */
const MOST_DONE = 400;

/** Something done earlier on the day, a drill or a whole start, as a later start sees it. */
export const doneBeforeSchema = z
  .strictObject({
    name: nameSchema,
    /** Whole seconds from the later start: both negative. */
    fromSeconds: z.number().int().min(-REMEMBERED_SECONDS).max(0),
    toSeconds: z.number().int().min(-REMEMBERED_SECONDS).max(0),
    /** Per cent of maximum effort. */
    effort: intensitySchema,
    /** The share of it that is work, 0 to 1. */
    share: z.number().min(0).max(1),
    /** The sport's own actions that were done in it. */
    actions: tagsSchema("actions", 16),
  })
  .refine((d) => d.fromSeconds < d.toSeconds, {
    path: ["toSeconds"],
    error: "It ends after it begins.",
  });
export type DoneBefore = z.infer<typeof doneBeforeSchema>;

/** All that was done, in the order of its beginning. */
export const allDoneSchema = z
  .array(doneBeforeSchema)
  .max(MOST_DONE, { error: `At most ${MOST_DONE} things done before.` });

/** All of it in the order of its beginning, as far as it is remembered. */
export function remembered(done: readonly DoneBefore[]): DoneBefore[] {
  return done
    .filter((d) => d.fromSeconds >= -REMEMBERED_SECONDS && d.toSeconds <= 0)
    .toSorted((a, b) => a.fromSeconds - b.fromSeconds)
    .slice(-MOST_DONE);
}
