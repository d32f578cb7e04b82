import { z } from "zod";
import { DAY_KINDS } from "../../day/kinds";
import { MOST_LINES } from "../../day/step";
import { tickSchema } from "../../lists/tick";
import { nameSchema, tagSchema } from "../../words/text";
import { MOST } from "../common/most";

/** What was ticked off in the lists of a start's day: of each line what counts. */
export const ticksSchema = z.strictObject({ ticks: z.array(tickSchema).max(MOST.ticksOfStart) });

/** What a device sends: as it was pressed, also again where no answer came. */
export const ticksInputSchema = z.strictObject({
  ticks: z
    .array(tickSchema)
    .max(MOST.ticksTogether, { error: `At most ${MOST.ticksTogether} ticks at once.` }),
});

/** A list that was begun, or is its start's own, or the kit on arrival, and has lines open. */
export const openListSchema = z.strictObject({
  startId: z.uuid(),
  /** The step's name and kind: a bag to pack, kit to have there. */
  name: nameSchema,
  kind: z.enum(DAY_KINDS),
  /** Lines that are not ticked off. */
  open: z.array(tagSchema).max(MOST_LINES),
  /** How many lines there are in all. */
  lines: z.number().int().min(1).max(MOST_LINES),
});

/** Lists with lines open, of the starts that are next. */
export const openListsSchema = z.strictObject({ lists: z.array(openListSchema).max(MOST.openLists) });

export type OpenList = z.infer<typeof openListSchema>;
