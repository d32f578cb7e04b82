import { z } from "zod";
import { secondsOf } from "../terms/bouts";
import { chainOf, idealInChain, isShortChain } from "../terms/chain";
import type { DoseLevel } from "../terms/level";
import { partnerSchema } from "../terms/partner";
import { rangeSchema } from "../terms/range";
import { amountsOf, numbered, work } from "../terms/taken";
import { firstRange, type PlainKind } from "./kind";

/** Rounds of lengths of a hall, lane or pool: one way, there and back, or one way with a walk back. */
export const lengthsDoseSchema = z
  .strictObject({
    kind: z.literal("lengths"),
    rounds: rangeSchema(1, 20, "rounds"),
    lengths: rangeSchema(1, 60, "lengths"),
    /** Metres of one way. */
    metres: z.number().int().min(1, { error: "A length is at least 1 m." }).max(1000),
    /** Seconds for one way. */
    secondsEach: z.number().int().min(1, { error: "A length takes at least 1 s." }).max(900),
    /** Seconds to turn, at each end. */
    turnSeconds: z.number().int().min(0).max(120),
    /** How one comes back: not at all, the same way as one went, or walking. */
    back: z.enum(["none", "same", "walk"]),
    /** Seconds to walk one length back; counted only with a walk back. */
    walkSeconds: z.number().int().min(0).max(600),
    /** Seconds of rest after every round but the last. */
    restSeconds: z.number().int().min(0).max(900),
    partner: partnerSchema.optional(),
  })
  .refine((d) => isShortChain(d.rounds, d.lengths), {
    path: ["lengths"],
    error: "So wide a range gives more than 60 choices: bring floor and ceiling closer.",
  });

export type LengthsDose = z.infer<typeof lengthsDoseSchema>;

/**
 * The levels of a lengths dose, least first. With ways = 2 for there and back, otherwise 1:
 * a round takes lengths × ways × seconds each + turn × (lengths × ways − 1), and with a walk back a walk after every
 * length but the last; all of it rounds × round + rest × (rounds − 1).
 * Metres count ways, and a way is one action; a walk back is neither.
 */
export function lengthsLevels(dose: LengthsDose): DoseLevel[] {
  return chainOf(dose.rounds, dose.lengths).map(([r, l]) => lengthsLevel(dose, r, l));
}

function waysOf({ back }: LengthsDose, lengths: number): number {
  return lengths * (back === "same" ? 2 : 1);
}

/** Seconds of one round, turns and walks back included. */
export function roundSeconds(dose: LengthsDose, lengths: number): number {
  const ways = waysOf(dose, lengths);
  const walks = dose.back === "walk" ? dose.walkSeconds * (lengths - 1) : 0;
  return ways * dose.secondsEach + dose.turnSeconds * (ways - 1) + walks;
}

function lengthsLevel(dose: LengthsDose, rounds: number, lengths: number): DoseLevel {
  const ways = waysOf(dose, lengths);
  const round = roundSeconds(dose, lengths);
  const metres = rounds * ways * dose.metres;
  const many = `${lengths} ${lengths === 1 ? "length" : "lengths"}`;
  const back = { none: "", same: " there and back", walk: ", walk back" }[dose.back];
  const rest = dose.restSeconds > 0 && rounds > 1 ? `, ${dose.restSeconds} s rest` : "";
  return {
    seconds: secondsOf({ bouts: rounds, boutSeconds: round, restSeconds: dose.restSeconds }, dose.partner),
    workSeconds: rounds * ways * dose.secondsEach,
    volume: { unit: "metres", amount: metres },
    actions: rounds * ways,
    words: `${rounds > 1 ? `${rounds} × ` : ""}${many} of ${dose.metres} m${back}${rest}, ${metres} m`,
    counts: [
      { noun: ["round", "rounds"], amount: rounds },
      { noun: ["length", "lengths"], amount: lengths },
    ],
  };
}

/** What there is to a dose of this kind. */
export const lengthsKind = {
  schema: lengthsDoseSchema,
  levels: lengthsLevels,
  ideal: (dose) => idealInChain(dose.rounds, dose.lengths),
  main: "lengths",
  outer: "rounds",
  bouts: (dose, level) => {
    const [rounds, lengths] = amountsOf(level);
    return numbered("Round", rounds, "one", dose.restSeconds, (words) =>
      work(words, roundSeconds(dose, lengths)),
    );
  },
  first: () => ({
    kind: "lengths",
    rounds: firstRange(1, 1),
    lengths: firstRange(2, 4),
    metres: 25,
    secondsEach: 20,
    turnSeconds: 2,
    back: "same",
    walkSeconds: 20,
    restSeconds: 30,
  }),
} satisfies PlainKind<LengthsDose>;
