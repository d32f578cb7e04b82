import { z } from "zod";
import { labelSchema } from "../../words/text";
import { secondsOf } from "../terms/bouts";
import type { DoseLevel } from "../terms/level";
import type { DosePart } from "../terms/part";
import { partnerSchema } from "../terms/partner";
import { rangeSchema, stepsOf } from "../terms/range";
import { amountsOf, rest, type Taken } from "../terms/taken";
import { firstRange, type PlainKind } from "./kind";

/** Most movements in a circuit. */
export const MOST_MOVEMENTS = 20;

/** One movement of a circuit. A breather is an ordinary one that is easy. */
export const movementSchema = z.strictObject({
  name: labelSchema(60, "Name the movement."),
  /** Seconds of it, or of one way. */
  seconds: z.number().int().min(5, { error: "A movement takes at least 5 s." }).max(900),
  /** Metres covered one way; 0 on the spot. */
  metres: z.number().int().min(0).max(1000),
  /** Whether it is easy, to get one's breath back. */
  breather: z.boolean(),
  /** There and back: twice the seconds, and twice the metres. */
  back: z.literal(true).optional(),
  /** Single actions of the sport in one round of it; left out, nobody knows. */
  actions: z
    .number()
    .int()
    .min(0, { error: "There are 0 to 200 actions in a movement." })
    .max(200, { error: "There are 0 to 200 actions in a movement." })
    .optional(),
});

export type Movement = z.infer<typeof movementSchema>;

/** Rounds of several movements one after the other. */
export const circuitDoseSchema = z.strictObject({
  kind: z.literal("circuit"),
  movements: z
    .array(movementSchema)
    .min(1, { error: "A circuit has at least one movement." })
    .max(MOST_MOVEMENTS, { error: `A circuit has at most ${MOST_MOVEMENTS} movements.` }),
  rounds: rangeSchema(1, 20, "rounds"),
  /** Seconds between two movements. */
  restSeconds: z.number().int().min(0).max(300),
  /** Seconds between two rounds. */
  roundRestSeconds: z.number().int().min(0).max(900),
  partner: partnerSchema.optional(),
});

export type CircuitDose = z.infer<typeof circuitDoseSchema>;

/** Seconds of one movement in one round, the way back with it. */
export function movementSeconds({ seconds, back }: Movement): number {
  return back ? 2 * seconds : seconds;
}

/** Seconds of one round, the rests between its movements with it. */
export function circuitRoundSeconds({ movements, restSeconds }: CircuitDose): number {
  return movements.reduce((sum, m) => sum + movementSeconds(m), restSeconds * (movements.length - 1));
}

/**
 * The levels of a circuit, fewest rounds first.
 * Duration: rounds × (movements + rest × (movements − 1)) + rest between rounds × (rounds − 1); a movement there and back
 * takes twice its seconds and covers twice its metres.
 */
export function circuitLevels(dose: CircuitDose): DoseLevel[] {
  const { movements, roundRestSeconds } = dose;
  const work = movements.reduce((sum, m) => sum + movementSeconds(m), 0);
  const metres = movements.reduce((sum, m) => sum + (m.back ? 2 : 1) * m.metres, 0);
  const actions = movements.reduce((sum, m) => sum + (m.actions ?? 0), 0);
  // A breather has none unless they are given.
  const uncounted = movements.some((m) => m.actions === undefined && !m.breather);
  return stepsOf(dose.rounds, 1).map((rounds) => ({
    seconds: secondsOf(
      { bouts: rounds, boutSeconds: circuitRoundSeconds(dose), restSeconds: roundRestSeconds },
      dose.partner,
    ),
    workSeconds: rounds * work,
    volume:
      metres > 0 ? { unit: "metres", amount: rounds * metres } : { unit: "seconds", amount: rounds * work },
    actions: rounds * actions,
    ...(uncounted ? { uncounted: true as const } : {}),
    words: [
      `${rounds} ${rounds === 1 ? "round" : "rounds"} of ${movements.length}`,
      roundRestSeconds > 0 && rounds > 1 ? `${roundRestSeconds} s between` : "",
      metres > 0 && rounds > 1 ? `${metres} m a round` : "",
      metres > 0 ? `${rounds * metres} m` : "",
    ]
      .filter(Boolean)
      .join(", "),
    counts: [{ noun: ["round", "rounds"], amount: rounds }],
  }));
}

function circuitBouts(dose: CircuitDose, rounds: number): Taken {
  const { movements, restSeconds, roundRestSeconds } = dose;
  const round = (r: number) =>
    movements.flatMap((m, n): DosePart[] => [
      ...(n > 0 ? [rest(restSeconds)] : []),
      {
        kind: m.breather ? "rest" : "work",
        words: rounds > 1 ? `${m.name}, round ${r + 1} of ${rounds}` : m.name,
        seconds: movementSeconds(m),
      },
    ]);
  return {
    bouts: Array.from({ length: rounds }, (_, r) => round(r)),
    between: rest(roundRestSeconds),
    after: 0,
  };
}

/** What there is to a dose of this kind. */
export const circuitKind = {
  schema: circuitDoseSchema,
  levels: circuitLevels,
  ideal: (dose) => dose.rounds.ideal - dose.rounds.floor,
  main: "rounds",
  bouts: (dose, level) => circuitBouts(dose, amountsOf(level)[0]),
  first: () => ({
    kind: "circuit",
    movements: [
      { name: "Skipping", seconds: 30, metres: 0, breather: false },
      { name: "Walking, arms loose", seconds: 30, metres: 0, breather: true },
    ],
    rounds: firstRange(1, 2),
    restSeconds: 5,
    roundRestSeconds: 30,
  }),
} satisfies PlainKind<CircuitDose>;
