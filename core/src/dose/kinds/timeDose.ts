import { z } from "zod";
import { formatLength } from "../../time/clock";
import { secondsOf } from "../terms/bouts";
import type { DoseLevel } from "../terms/level";
import { partnerSchema } from "../terms/partner";
import { rangeSchema, stepsOf } from "../terms/range";
import { sideCount, sidesSchema, sideWords } from "../terms/sides";
import { amountsOf, bySide, work } from "../terms/taken";
import { firstRange, type PlainKind } from "./kind";

/** A length of time, a side at a time where there are sides. */
export const timeDoseSchema = z
  .strictObject({
    kind: z.literal("time"),
    /** Seconds for one side. */
    seconds: rangeSchema(5, 14_400, "seconds"),
    /** Seconds by which the time may shrink or grow. */
    step: z.number().int().min(5, { error: "Steps are at least 5 s." }).max(600),
    sides: sidesSchema,
    /** Seconds to change sides; counted only with both sides. */
    changeoverSeconds: z.number().int().min(0).max(600),
    /** One action of the sport every so many seconds, so that they can be counted; left out, nobody knows. */
    secondsPerAction: z
      .number()
      .int()
      .min(1, { error: "An action comes every 1 to 600 s." })
      .max(600, { error: "An action comes every 1 to 600 s." })
      .optional(),
    partner: partnerSchema.optional(),
  })
  .refine((d) => (d.seconds.ceiling - d.seconds.floor) / d.step <= 58, {
    path: ["step"],
    error: "So small a step gives more than 60 choices: widen the step or narrow the times.",
  });

export type TimeDose = z.infer<typeof timeDoseSchema>;

/**
 * The levels of a time dose, shortest first.
 * Duration: seconds × sides + changeover × (sides − 1), where the sides are bouts. Actions: the whole ones in the time of
 * a side, times the sides.
 */
export function timeLevels(dose: TimeDose): DoseLevel[] {
  const sides = sideCount(dose.sides);
  return stepsOf(dose.seconds, dose.step).map((seconds) => ({
    seconds: secondsOf(
      { bouts: sides, boutSeconds: seconds, restSeconds: dose.changeoverSeconds },
      dose.partner,
    ),
    workSeconds: seconds * sides,
    volume: { unit: "seconds", amount: seconds * sides },
    ...(dose.secondsPerAction
      ? { actions: Math.floor(seconds / dose.secondsPerAction) * sides }
      : { actions: 0, uncounted: true as const }),
    words: `${formatLength(seconds)}${sideWords(dose.sides)}`,
    counts: [{ noun: null, amount: seconds }],
  }));
}

/** What there is to a dose of this kind. */
export const timeKind = {
  schema: timeDoseSchema,
  levels: timeLevels,
  ideal: (dose) => Math.ceil((dose.seconds.ideal - dose.seconds.floor) / dose.step),
  main: "seconds",
  bouts: (dose, level) =>
    bySide(dose.sides, dose.changeoverSeconds, (side) => [work(side, amountsOf(level)[0])]),
  first: () => ({ kind: "time", seconds: firstRange(60, 120), step: 30, sides: "one", changeoverSeconds: 0 }),
} satisfies PlainKind<TimeDose>;
