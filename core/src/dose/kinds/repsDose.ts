import { z } from "zod";
import { formatLength } from "../../time/clock";
import { type Bouts, restBesidePartner, secondsOf } from "../terms/bouts";
import { chainOf, isShortChain } from "../terms/chain";
import type { DoseLevel } from "../terms/level";
import type { DosePart } from "../terms/part";
import { type Partner, partnerSchema } from "../terms/partner";
import { type Range, rangeSchema } from "../terms/range";
import { rising } from "../terms/rising";
import { type Sides, sideCount, sidesSchema, sideWords } from "../terms/sides";
import { amountsOf, numbered, type Taken, work } from "../terms/taken";
import { halfSeconds, tempoSchema } from "../terms/tempo";
import { firstRange, type PlainKind } from "./kind";

/** What the length of sets depends on. */
interface SetsOf {
  sets: Range;
  reps: Range;
  secondsPerRep: number;
  sides: Sides;
  partner?: Partner | undefined;
}

/** Sets of repetitions with a rest between sets (and between sides), or with a set every so often. */
export const repsDoseSchema = z
  .strictObject({
    kind: z.literal("reps"),
    sets: rangeSchema(1, 20, "sets"),
    reps: rangeSchema(1, 200, "reps"),
    /** Whole or half seconds for one repetition. */
    secondsPerRep: halfSeconds(0.5, 120, "A rep takes 0.5 to 120 s."),
    /** How those seconds are divided; without it they are not. */
    tempo: tempoSchema.optional(),
    sides: sidesSchema,
    /** Seconds of rest after every set but the last. */
    restSeconds: z.number().int().min(0).max(900),
    /** A set (of a side) begins every so many seconds, and what it leaves is rest, instead of `restSeconds`. */
    slotSeconds: z.number().int().min(5, { error: "A slot is at least 5 s." }).max(900).optional(),
    /** The slot is for the whole drill, and the rest between its sets is worked out from what they leave of it. */
    slotFor: z.literal("drill").optional(),
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
  .refine((d) => !d.slotFor || d.slotSeconds !== undefined, {
    path: ["slotSeconds"],
    error: "Say how long the slot for the whole drill is.",
  })
  .refine((d) => !d.slotSeconds || d.slotFor || setSeconds(d, d.reps.ideal) <= d.slotSeconds, {
    path: ["slotSeconds"],
    error: "A set takes longer than its slot: widen the slot or do fewer reps.",
  })
  .refine((d) => !d.slotSeconds || !d.slotFor || inOneSlot(d, d.slotSeconds).restSeconds >= 0, {
    path: ["slotSeconds"],
    error: "The sets take longer than the slot: widen the slot or do fewer.",
  });

export type RepsDose = z.infer<typeof repsDoseSchema>;

/**
 * The levels of a reps dose, least first.
 * Duration: sets × reps × seconds per rep × sides + rest × (sets × sides − 1), where a set takes whole seconds (half ones
 * are rounded up). In slots for a set: sets × sides × slot, where fewer repetitions would save no time, so that only sets
 * are given up. In a slot for all of it: the slot, where nothing saves any time, so that there is only the ideal; the rest
 * between two sets is an even share of what they leave, whole seconds.
 */
export function repsLevels(dose: RepsDose): DoseLevel[] {
  const levels = chainOf(...variedReps(dose)).map(([s, r]) => repsLevel(dose, s, r));
  return rising(levels, (level) => isIdealReps(dose, level));
}

/** Whether a level is the ideal: with half seconds, another may take as long. */
export function isIdealReps({ sets, reps }: RepsDose, { counts: [s, r] }: DoseLevel): boolean {
  return s?.amount === sets.ideal && r?.amount === reps.ideal;
}

/** What of the sets and of the repetitions may vary. */
function variedReps({ sets, reps, slotSeconds, slotFor }: RepsDose): [sets: Range, reps: Range] {
  const only = ({ ideal }: Range) => ({ floor: ideal, ideal, ceiling: ideal });
  return [slotFor ? only(sets) : sets, slotSeconds ? only(reps) : reps];
}

/** Whole seconds of one set of one side. */
export function setSeconds({ secondsPerRep }: Pick<SetsOf, "secondsPerRep">, reps: number): number {
  return Math.ceil(reps * secondsPerRep);
}

/** How the sets of a drill lie in one slot: with a partner in turn, both people's are in it. */
export function inOneSlot(
  dose: SetsOf,
  slotSeconds: number,
): { bouts: number; boutSeconds: number; restSeconds: number; lastSeconds: number } {
  const bouts = dose.sets.ideal * sideCount(dose.sides);
  const boutSeconds = setSeconds(dose, dose.reps.ideal);
  const inTurn = dose.partner?.mode === "alternating";
  const left = slotSeconds - bouts * boutSeconds * (inTurn ? 2 : 1);
  const between = bouts > 1 && left > 0 ? Math.floor(left / (bouts - 1)) : Math.min(left, 0);
  return {
    bouts,
    boutSeconds,
    restSeconds: between < 0 || !inTurn ? between : boutSeconds + between,
    lastSeconds: left - Math.max(0, between) * (bouts - 1),
  };
}

function repsLevel(dose: RepsDose, sets: number, reps: number): DoseLevel {
  const bouts = sets * sideCount(dose.sides);
  const boutSeconds = setSeconds(dose, reps);
  const amount = sets === 1 ? `${reps} ${reps === 1 ? "rep" : "reps"}` : `${sets} × ${reps}`;
  return {
    seconds: lengthOf(dose, { bouts, boutSeconds, restSeconds: dose.restSeconds }),
    workSeconds: bouts * boutSeconds,
    volume: { unit: "reps", amount: bouts * reps },
    actions: bouts * reps,
    words: `${amount}${sideWords(dose.sides)}${tempoWords(dose)}${restWords(dose, bouts)}`,
    counts: [
      { noun: ["set", "sets"], amount: sets },
      { noun: ["rep", "reps"], amount: reps },
    ],
  };
}

function lengthOf({ slotSeconds, slotFor, partner }: RepsDose, of: Bouts): number {
  if (!slotSeconds) return secondsOf(of, partner);
  const inTurn = partner?.mode === "alternating";
  // In turn, the partner's set lies in the slot too.
  const each = inTurn ? Math.max(slotSeconds, 2 * of.boutSeconds) : slotSeconds;
  const all = { bouts: 1, boutSeconds: slotFor ? slotSeconds : of.bouts * each, restSeconds: 0 };
  return secondsOf(all, inTurn ? undefined : partner);
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

function restWords(dose: RepsDose, bouts: number): string {
  const { restSeconds, slotSeconds, slotFor } = dose;
  if (slotSeconds && slotFor) {
    const rest = inOneSlot(dose, slotSeconds).restSeconds;
    return `${rest > 0 && bouts > 1 ? `, ${rest} s rest` : ""}, in a slot of ${formatLength(slotSeconds)}`;
  }
  if (slotSeconds) return bouts > 1 ? `, one every ${formatLength(slotSeconds)}` : "";
  return restSeconds > 0 && bouts > 1 ? `, ${restSeconds} s rest` : "";
}

function repsBouts(dose: RepsDose, sets: number, reps: number): Taken {
  const { secondsPerRep, slotSeconds, slotFor, tempo, partner } = dose;
  const seconds = setSeconds(dose, reps);
  const set = (words: string): DosePart => ({
    ...work(words, seconds),
    reps,
    repSeconds: secondsPerRep,
    ...(tempo ? { tempo } : {}),
  });
  const of = (restSeconds: number, after: number) => ({
    ...numbered("Set", sets, dose.sides, restSeconds, set),
    after,
  });
  if (slotSeconds === undefined) return of(dose.restSeconds, 0);
  if (slotFor) {
    const { restSeconds, lastSeconds } = inOneSlot(dose, slotSeconds);
    return of(restSeconds, lastSeconds);
  }
  // In a slot what the set leaves is rest, after the last one too; in turn, the partner's set is in it as well.
  const spare = slotSeconds - seconds;
  return of(spare, partner?.mode === "alternating" ? restBesidePartner(spare, seconds) : spare);
}

/** What there is to a dose of this kind. */
export const repsKind = {
  schema: repsDoseSchema,
  levels: repsLevels,
  ideal: (dose, levels) => levels.findIndex((level) => isIdealReps(dose, level)),
  main: "reps",
  outer: "sets",
  bouts: (dose, level) => repsBouts(dose, ...amountsOf(level)),
  first: () => ({
    kind: "reps",
    sets: firstRange(1, 2),
    reps: firstRange(6, 8),
    secondsPerRep: 3,
    sides: "one",
    restSeconds: 20,
  }),
} satisfies PlainKind<RepsDose>;
