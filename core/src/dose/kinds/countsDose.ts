import { z } from "zod";
import { secondsOf } from "../terms/bouts";
import type { DoseLevel } from "../terms/level";
import { partnerSchema } from "../terms/partner";
import { rangeSchema, stepsOf } from "../terms/range";
import { rising } from "../terms/rising";
import { sideCount, sidesSchema, sideWords } from "../terms/sides";
import { amountsOf, bySide, work } from "../terms/taken";
import { firstRange, type PlainKind } from "./kind";

/** Phrases of counts to a beat. */
export const countsDoseSchema = z.strictObject({
  kind: z.literal("counts"),
  phrases: rangeSchema(1, 60, "phrases"),
  /** Counts in a phrase. */
  counts: z.number().int().min(1, { error: "A phrase has at least 1 count." }).max(64),
  beatsPerMinute: z
    .number()
    .int()
    .min(30, { error: "A beat is 30 to 240 a minute." })
    .max(240, { error: "A beat is 30 to 240 a minute." }),
  sides: sidesSchema,
  /** Seconds to change sides; counted only with both sides. */
  changeoverSeconds: z.number().int().min(0).max(600),
  partner: partnerSchema.optional(),
});

export type CountsDose = z.infer<typeof countsDoseSchema>;

/**
 * The levels of a counts dose, fewest phrases first.
 * Duration: counts × phrases × 60 / bpm, up to the next whole second, × sides + changeover × (sides − 1). Of phrases that
 * end in the same second the most are kept. A phrase is one action.
 */
export function countsLevels(dose: CountsDose): DoseLevel[] {
  const sides = sideCount(dose.sides);
  const levels = stepsOf(dose.phrases, 1).map((phrases): DoseLevel => {
    const side = Math.ceil((dose.counts * phrases * 60) / dose.beatsPerMinute);
    return {
      seconds: secondsOf(
        { bouts: sides, boutSeconds: side, restSeconds: dose.changeoverSeconds },
        dose.partner,
      ),
      workSeconds: side * sides,
      volume: { unit: "counts", amount: dose.counts * phrases * sides },
      actions: phrases * sides,
      words: `${phrases > 1 ? `${phrases} × ` : ""}${dose.counts} counts${sideWords(dose.sides)} at ${dose.beatsPerMinute} a minute`,
      counts: [{ noun: ["phrase", "phrases"], amount: phrases }],
    };
  });
  return rising(levels, (level) => level.counts[0]?.amount === dose.phrases.ideal);
}

/** What there is to a dose of this kind. */
export const countsKind = {
  schema: countsDoseSchema,
  levels: countsLevels,
  ideal: (dose, levels) => levels.findIndex((level) => level.counts[0]?.amount === dose.phrases.ideal),
  main: "phrases",
  bouts: (dose, level) => {
    const beat = 60 / dose.beatsPerMinute;
    const reps = dose.counts * amountsOf(level)[0];
    return bySide(dose.sides, dose.changeoverSeconds, (side) => [
      { ...work(side, Math.ceil(reps * beat)), reps: Math.min(400, reps), repSeconds: beat },
    ]);
  },
  first: () => ({
    kind: "counts",
    phrases: firstRange(2, 4),
    counts: 8,
    beatsPerMinute: 120,
    sides: "one",
    changeoverSeconds: 0,
  }),
} satisfies PlainKind<CountsDose>;
