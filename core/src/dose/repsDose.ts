import { z } from "zod";
import type { DoseLevel } from "./level";
import { rangeSchema, stepsOf } from "./range";
import { sideCount, sidesSchema, sideWords } from "./sides";

/** Sets of repetitions with a rest between sets (and between sides). */
export const repsDoseSchema = z
  .strictObject({
    kind: z.literal("reps"),
    sets: rangeSchema(1, 20, "sets"),
    reps: rangeSchema(1, 200, "reps"),
    /** Seconds for one repetition. */
    secondsPerRep: z.number().int().min(1, { error: "A rep takes at least 1 s." }).max(120),
    sides: sidesSchema,
    /** Seconds of rest after every set but the last. */
    restSeconds: z.number().int().min(0).max(900),
  })
  .refine((d) => d.sets.ceiling - d.sets.floor + d.reps.ceiling - d.reps.floor <= 58, {
    path: ["reps"],
    error: "So wide a range gives more than 60 choices: bring floor and ceiling closer.",
  });

export type RepsDose = z.infer<typeof repsDoseSchema>;

/**
 * The levels of a reps dose, least first. Sets are given up before repetitions, because a set fewer is the easier
 * instruction and gives back its rest as well; on the way up repetitions come before sets.
 * Duration: sets × reps × seconds per rep × sides + rest × (sets × sides − 1).
 */
export function repsLevels(dose: RepsDose): DoseLevel[] {
  const { sets, reps } = dose;
  const chain: [number, number][] = [];
  for (const r of stepsOf({ ...reps, ceiling: reps.ideal }, 1)) chain.push([sets.floor, r]);
  for (let s = sets.floor + 1; s <= sets.ideal; s++) chain.push([s, reps.ideal]);
  for (let r = reps.ideal + 1; r <= reps.ceiling; r++) chain.push([sets.ideal, r]);
  for (let s = sets.ideal + 1; s <= sets.ceiling; s++) chain.push([s, reps.ceiling]);
  return chain.map(([s, r]) => repsLevel(dose, s, r));
}

function repsLevel(dose: RepsDose, sets: number, reps: number): DoseLevel {
  const bouts = sets * sideCount(dose.sides);
  const workSeconds = bouts * reps * dose.secondsPerRep;
  const rest = dose.restSeconds > 0 && bouts > 1 ? `, ${dose.restSeconds} s rest` : "";
  const amount = sets === 1 ? `${reps} ${reps === 1 ? "rep" : "reps"}` : `${sets} × ${reps}`;
  return {
    seconds: workSeconds + dose.restSeconds * (bouts - 1),
    workSeconds,
    volume: { unit: "reps", amount: bouts * reps },
    words: `${amount}${sideWords(dose.sides)}${rest}`,
    counts: [
      { noun: ["set", "sets"], amount: sets },
      { noun: ["rep", "reps"], amount: reps },
    ],
  };
}
