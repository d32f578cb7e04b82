import { z } from "zod";
import { wordKey } from "../words/sameWord";
import { tagSchema } from "../words/text";

/** Most movements that can be called: so many have a number of one figure. */
export const MOST_CALLED = 9;

/** How long a count lasts, seconds. Custom: an easy beat. */
export const COUNT_SECONDS = 1;

/** Shortest and longest time between two calls, seconds. */
export const CALL_GAP = { least: 3, most: 120 } as const;

/** Most counts of one movement. */
export const MOST_COUNTS = 32;

/** A movement that is done when it is called, for so many counts. */
const movementSchema = z.strictObject({
  name: tagSchema,
  counts: z
    .number()
    .int({ error: "Counts are whole numbers." })
    .min(1, { error: `A movement lasts 1 to ${MOST_COUNTS} counts.` })
    .max(MOST_COUNTS, { error: `A movement lasts 1 to ${MOST_COUNTS} counts.` }),
});

const gapSchema = z
  .number()
  .int({ error: "The time between two calls is in whole seconds." })
  .min(CALL_GAP.least, { error: `Between two calls there are ${CALL_GAP.least} to ${CALL_GAP.most} s.` })
  .max(CALL_GAP.most, { error: `Between two calls there are ${CALL_GAP.least} to ${CALL_GAP.most} s.` });

/** Movements by number that are called during an easy one, at uneven intervals, so that all listen. */
export const calledSchema = z
  .strictObject({
    movements: z
      .array(movementSchema)
      .min(1, { error: "Name a movement that is called." })
      .max(MOST_CALLED, { error: `At most ${MOST_CALLED} movements are called.` })
      .refine((list) => new Set(list.map((m) => wordKey(m.name))).size === list.length, {
        error: "A movement is named twice.",
      }),
    /** Least seconds from the end of one to the next call. */
    gapFrom: gapSchema,
    /** Most seconds from the end of one to the next call. */
    gapTo: gapSchema,
  })
  .refine((c) => c.gapFrom <= c.gapTo, {
    path: ["gapTo"],
    error: "The longest time between two calls may not be shorter than the shortest.",
  });

export type Called = z.infer<typeof calledSchema>;

/** @example "1 star jumps (8), 2 touch the floor (4)" */
export const calledLine = ({ movements }: Called): string =>
  movements.map(({ name, counts }, i) => `${i + 1} ${name} (${counts})`).join(", ");
