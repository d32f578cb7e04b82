import { z } from "zod";
import { tickSchema } from "../lists/tick";
import { MOST } from "./most";

/** What was ticked off in the lists of a start's day: of each line what counts. */
export const ticksSchema = z.strictObject({ ticks: z.array(tickSchema).max(MOST.ticksOfStart) });

/** What a device sends: as it was pressed, also again where no answer came. */
export const ticksInputSchema = z.strictObject({
  ticks: z
    .array(tickSchema)
    .max(MOST.ticksTogether, { error: `At most ${MOST.ticksTogether} ticks at once.` }),
});
