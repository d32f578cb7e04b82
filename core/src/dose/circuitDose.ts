import { z } from "zod";
import { labelSchema } from "../plan/text";
import type { DoseLevel } from "./level";
import { partnerSchema } from "./partner";
import { rangeSchema, stepsOf } from "./range";

/** Most movements in a circuit. */
export const MOST_MOVEMENTS = 20;

/** One movement of a circuit. A breather is an ordinary one that is easy. */
export const movementSchema = z.strictObject({
  name: labelSchema(60, "Name the movement."),
  seconds: z.number().int().min(5, { error: "A movement takes at least 5 s." }).max(900),
  /** Metres covered; 0 on the spot. */
  metres: z.number().int().min(0).max(1000),
  breather: z.boolean(),
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

/**
 * The levels of a circuit, fewest rounds first.
 * Duration: rounds × (movements + rest × (movements − 1)) + rest between rounds × (rounds − 1).
 */
export function circuitLevels(dose: CircuitDose): DoseLevel[] {
  const { movements, restSeconds, roundRestSeconds } = dose;
  const work = movements.reduce((sum, m) => sum + m.seconds, 0);
  const metres = movements.reduce((sum, m) => sum + m.metres, 0);
  const round = work + restSeconds * (movements.length - 1);
  return stepsOf(dose.rounds, 1).map((rounds) => ({
    seconds: rounds * round + roundRestSeconds * (rounds - 1),
    workSeconds: rounds * work,
    volume:
      metres > 0 ? { unit: "metres", amount: rounds * metres } : { unit: "seconds", amount: rounds * work },
    words: [
      `${rounds} ${rounds === 1 ? "round" : "rounds"} of ${movements.length}`,
      roundRestSeconds > 0 && rounds > 1 ? `${roundRestSeconds} s between` : "",
      metres > 0 ? `${rounds * metres} m` : "",
    ]
      .filter(Boolean)
      .join(", "),
    counts: [{ noun: ["round", "rounds"], amount: rounds }],
  }));
}
