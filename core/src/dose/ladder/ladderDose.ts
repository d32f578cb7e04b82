import { z } from "zod";
import { intensitySchema } from "../../words/intensity";
import { lineSchema, noteSchema } from "../../words/text";
import { plainDoseSchema } from "../kinds/plainDose";
import { plainLevels } from "../kinds/plainLevels";

/** Most rungs of one ladder. */
export const MOST_RUNGS = 16;

/** Most ways a ladder may shrink and grow; the worth of a fit tells that many apart. */
const MOST_LEVELS = 60;

/** One step of a ladder. */
export const rungSchema = z.strictObject({
  /** Unique within the ladder; made by whoever writes it. */
  id: z.uuid({ error: "Each rung needs an id of its own (a UUID)." }),
  /** What it is on a scale (a grade, distance, position, target …); empty for effort alone. */
  label: lineSchema(60),
  intensity: intensitySchema,
  dose: plainDoseSchema,
  /** The one thing to attend to. */
  focus: noteSchema,
  /** Seconds of rest after it; not counted after the last rung that is climbed. */
  restSeconds: z.number().int().min(0).max(1800, { error: "A rest is at most 30 min." }),
  /** How often it should succeed, per cent, where that is known. */
  chancePercent: z.number().int().min(1).max(99).optional(),
});

export type Rung = z.infer<typeof rungSchema>;

/** Graded steps as one drill. When time is short rungs get fewer repetitions, hardest first; then the top comes down. */
export const ladderDoseSchema = z
  .strictObject({
    kind: z.literal("ladder"),
    rungs: z
      .array(rungSchema)
      .min(1, { error: "A ladder has at least one rung." })
      .max(MOST_RUNGS, { error: `A ladder has at most ${MOST_RUNGS} rungs.` }),
    /** As many rungs are climbed whenever the ladder is done at all, from the lowest up. */
    leastRungs: z.number().int().min(1, { error: "At least one rung is climbed." }).max(MOST_RUNGS),
  })
  .refine((d) => d.leastRungs <= d.rungs.length, {
    path: ["leastRungs"],
    error: "More rungs are asked for than there are.",
  })
  .refine((d) => new Set(d.rungs.map((r) => r.id)).size === d.rungs.length, {
    path: ["rungs"],
    error: "Two rungs share an id: give each its own.",
  })
  .refine((d) => ladderChoices(d) <= MOST_LEVELS, {
    // Counting the levels of a dose that is refused already could go on for ever: its step may be 0, its range anything.
    when: ({ issues }) => issues.length === 0,
    path: ["rungs"],
    error: `The rungs' ranges give more than ${MOST_LEVELS} choices: bring floors and ceilings closer.`,
  });

export type LadderDose = z.infer<typeof ladderDoseSchema>;

/** How many levels a ladder has. */
function ladderChoices({ rungs, leastRungs }: { rungs: Rung[]; leastRungs: number }): number {
  return rungs.reduce((sum, r) => sum + plainLevels(r.dose).length - 1, 1 + rungs.length - leastRungs);
}
