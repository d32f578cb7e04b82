import { z } from "zod";
import { formatLength } from "../time/clock";
import { chainOf, isShortChain } from "./chain";
import type { DoseLevel } from "./level";
import { partnerSchema } from "./partner";
import { rangeSchema } from "./range";
import { sideCount, sidesSchema, sideWords } from "./sides";

/** How a repetition is divided, seconds. */
export const tempoSchema = z.strictObject({
  down: z.number().int().min(0).max(30),
  hold: z.number().int().min(0).max(30),
  up: z.number().int().min(0).max(30),
});

/** Sets of repetitions with a rest between sets (and between sides), or with a set every so often. */
export const repsDoseSchema = z
  .strictObject({
    kind: z.literal("reps"),
    sets: rangeSchema(1, 20, "sets"),
    reps: rangeSchema(1, 200, "reps"),
    /** Seconds for one repetition. */
    secondsPerRep: z.number().int().min(1, { error: "A rep takes at least 1 s." }).max(120),
    /** How those seconds are divided; without it they are not. */
    tempo: tempoSchema.optional(),
    sides: sidesSchema,
    /** Seconds of rest after every set but the last. */
    restSeconds: z.number().int().min(0).max(900),
    /** A set (of a side) begins every so many seconds, and what it leaves is rest, instead of `restSeconds`. */
    slotSeconds: z.number().int().min(5, { error: "A slot is at least 5 s." }).max(900).optional(),
    partner: partnerSchema.optional(),
  })
  .refine((d) => isShortChain(d.sets, d.reps), {
    path: ["reps"],
    error: "So wide a range gives more than 60 choices: bring floor and ceiling closer.",
  })
  .refine((d) => !d.tempo || d.tempo.down + d.tempo.hold + d.tempo.up === d.secondsPerRep, {
    path: ["tempo"],
    error: "Down, hold and up together are not the seconds of one rep.",
  })
  .refine((d) => !d.slotSeconds || d.reps.ideal * d.secondsPerRep <= d.slotSeconds, {
    path: ["slotSeconds"],
    error: "A set takes longer than its slot: widen the slot or do fewer reps.",
  });

export type RepsDose = z.infer<typeof repsDoseSchema>;

/**
 * The levels of a reps dose, least first.
 * Duration: sets × reps × seconds per rep × sides + rest × (sets × sides − 1); in slots sets × sides × slot, where
 * fewer repetitions would save no time, so that only sets are given up.
 */
export function repsLevels(dose: RepsDose): DoseLevel[] {
  return chainOf(dose.sets, repsToVary(dose)).map(([s, r]) => repsLevel(dose, s, r));
}

/** What of the repetitions may vary. */
export function repsToVary({ reps, slotSeconds }: RepsDose): RepsDose["reps"] {
  return slotSeconds ? { floor: reps.ideal, ideal: reps.ideal, ceiling: reps.ideal } : reps;
}

function repsLevel(dose: RepsDose, sets: number, reps: number): DoseLevel {
  const bouts = sets * sideCount(dose.sides);
  const workSeconds = bouts * reps * dose.secondsPerRep;
  const amount = sets === 1 ? `${reps} ${reps === 1 ? "rep" : "reps"}` : `${sets} × ${reps}`;
  return {
    seconds: dose.slotSeconds ? bouts * dose.slotSeconds : workSeconds + dose.restSeconds * (bouts - 1),
    workSeconds,
    volume: { unit: "reps", amount: bouts * reps },
    words: `${amount}${sideWords(dose.sides)}${tempoWords(dose)}${restWords(dose, bouts)}`,
    counts: [
      { noun: ["set", "sets"], amount: sets },
      { noun: ["rep", "reps"], amount: reps },
    ],
  };
}

function tempoWords({ tempo }: RepsDose): string {
  if (!tempo) return "";
  const parts = [
    tempo.down > 0 ? `${tempo.down} s down` : "",
    tempo.hold > 0 ? `${tempo.hold} s hold` : "",
    tempo.up > 0 ? `${tempo.up} s up` : "",
  ];
  return `, ${parts.filter(Boolean).join(" ")}`;
}

function restWords({ restSeconds, slotSeconds }: RepsDose, bouts: number): string {
  if (slotSeconds) return bouts > 1 ? `, one every ${formatLength(slotSeconds)}` : "";
  return restSeconds > 0 && bouts > 1 ? `, ${restSeconds} s rest` : "";
}
