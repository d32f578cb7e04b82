import { z } from "zod";
import { verbatimSchema } from "../words/text";

/** Most figures that a club has of its own; there are fewer. */
const MOST_FIGURES = 200;

/** One figure of a check that a club has of its own. Which checks there are, and what their figures may be, the checks know. */
const ownFigureSchema = z.strictObject({
  check: verbatimSchema(60),
  figure: verbatimSchema(40),
  value: z
    .number({ error: "Give a whole number." })
    .int({ error: "Give a whole number." })
    .min(-1_000_000)
    .max(1_000_000),
});

/** Some of them. */
export const figureListSchema = z
  .array(ownFigureSchema)
  .max(MOST_FIGURES, { error: `At most ${MOST_FIGURES} figures of your own.` });

export type OwnFigure = z.infer<typeof ownFigureSchema>;
