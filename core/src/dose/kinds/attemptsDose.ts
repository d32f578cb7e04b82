import { z } from "zod";
import { secondsOf } from "../terms/bouts";
import type { DoseLevel } from "../terms/level";
import { partnerSchema } from "../terms/partner";
import { rangeSchema, stepsOf } from "../terms/range";
import { sideCount, sidesSchema, sideWords } from "../terms/sides";
import { amountsOf, numbered, work } from "../terms/taken";
import { firstRange, type PlainKind } from "./kind";

/** Rest after an attempt: a fixed time, or a multiple of the attempt's own length. */
export const attemptRestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("fixed"), seconds: z.number().int().min(0).max(1800) }),
  z.strictObject({ kind: z.literal("multiple"), times: z.number().min(0).max(20) }),
]);

/** Single efforts, each followed by a rest except the last. */
export const attemptsDoseSchema = z.strictObject({
  kind: z.literal("attempts"),
  attempts: rangeSchema(1, 50, "attempts"),
  secondsEach: z.number().int().min(1, { error: "An attempt takes at least 1 s." }).max(1800),
  sides: sidesSchema,
  rest: attemptRestSchema,
  partner: partnerSchema.optional(),
});

export type AttemptsDose = z.infer<typeof attemptsDoseSchema>;

/** Seconds of rest between two attempts; a multiple is rounded up to a whole second. */
export function attemptRest(dose: AttemptsDose): number {
  return dose.rest.kind === "fixed" ? dose.rest.seconds : Math.ceil(dose.rest.times * dose.secondsEach);
}

/**
 * The levels of an attempts dose, fewest first.
 * Duration: attempts × sides × seconds each + rest × (attempts × sides − 1): no rest after the last.
 */
export function attemptsLevels(dose: AttemptsDose): DoseLevel[] {
  const rest = attemptRest(dose);
  return stepsOf(dose.attempts, 1).map((attempts) => {
    const bouts = attempts * sideCount(dose.sides);
    return {
      seconds: secondsOf({ bouts, boutSeconds: dose.secondsEach, restSeconds: rest }, dose.partner),
      workSeconds: bouts * dose.secondsEach,
      volume: { unit: "attempts", amount: bouts },
      actions: bouts,
      words:
        `${attempts} ${attempts === 1 ? "attempt" : "attempts"}${sideWords(dose.sides)}` +
        (rest > 0 && bouts > 1 ? `, ${rest} s rest` : ""),
      counts: [{ noun: ["attempt", "attempts"], amount: attempts }],
    };
  });
}

/** What there is to a dose of this kind. */
export const attemptsKind = {
  schema: attemptsDoseSchema,
  levels: attemptsLevels,
  ideal: (dose) => dose.attempts.ideal - dose.attempts.floor,
  main: "attempts",
  bouts: (dose, level) =>
    numbered("Attempt", amountsOf(level)[0], dose.sides, attemptRest(dose), (words) =>
      work(words, dose.secondsEach),
    ),
  first: () => ({
    kind: "attempts",
    attempts: firstRange(2, 3),
    secondsEach: 10,
    sides: "one",
    rest: { kind: "fixed", seconds: 20 },
  }),
} satisfies PlainKind<AttemptsDose>;
