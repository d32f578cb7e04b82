import { z } from "zod";
import { formatLength } from "../../time/clock";
import { secondsOf } from "../terms/bouts";
import type { DoseLevel } from "../terms/level";
import { type Partner, partnerSchema } from "../terms/partner";
import { rangeSchema, stepsOf } from "../terms/range";
import { rising } from "../terms/rising";
import { sideCount, sidesSchema, sideWords } from "../terms/sides";
import { bySide, work } from "../terms/taken";
import { type GateRule, meanTries, triesFor } from "./gateDistribution";
import { firstRange, type PlainKind } from "./kind";

/** Longest run of tries that an "x of the last y" gate may look back on. */
export const WIDEST_WINDOW = 8;

/** Most tries that a cap may leave room for: more is no warm-up, and the computing stays below a moment. */
export const MOST_TRIES = 200;

/** What opens a gate: so many hits in all, in a row, or of the last tries. */
export const gateRuleSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("total") }),
  z.strictObject({ kind: z.literal("row") }),
  z.strictObject({
    kind: z.literal("of"),
    /** Tries looked back on. */
    window: z
      .number()
      .int()
      .min(1)
      .max(WIDEST_WINDOW, { error: `A gate looks back on at most ${WIDEST_WINDOW} tries.` }),
  }),
]);

const percent = (least: number, most: number, error: string) =>
  z.number({ error }).int({ error }).min(least, { error }).max(most, { error });

/** Tries until enough of them were hits, and never longer than the cap. */
export const gateDoseSchema = z
  .strictObject({
    kind: z.literal("gate"),
    rule: gateRuleSchema,
    hits: rangeSchema(1, 30, "hits"),
    /** Chance of a hit at one try, per cent. */
    chancePercent: percent(
      1,
      99,
      "The chance of a hit is 1 to 99 %: at 0 it never opens, at 100 it is no gate.",
    ),
    secondsEach: z.number().int().min(1, { error: "A try takes at least 1 s." }).max(300),
    /** Seconds between two tries. */
    restSeconds: z.number().int().min(0).max(300),
    /** The time planned is enough with this probability, per cent. */
    surePercent: percent(50, 99, "Plan for 50 to 99 %."),
    /** Longest time for one side, seconds: then it is over, whatever was hit. */
    capSeconds: z.number().int().min(5).max(1800, { error: "A cap is at most 30 min." }),
    sides: sidesSchema,
    partner: partnerSchema.optional(),
  })
  .refine((d) => d.capSeconds >= d.secondsEach, {
    path: ["capSeconds"],
    error: "The cap is shorter than one try: give it at least that long.",
  })
  .refine((d) => triesUnderCap(d) <= MOST_TRIES, {
    path: ["capSeconds"],
    error: `The cap leaves room for more than ${MOST_TRIES} tries: shorten it.`,
  })
  .refine((d) => d.rule.kind !== "of" || d.hits.ceiling <= d.rule.window, {
    path: ["hits", "ceiling"],
    error: "More hits are wanted than there are tries looked back on.",
  });

export type GateDose = z.infer<typeof gateDoseSchema>;

/** How many tries fit under the cap. */
export function triesUnderCap({
  capSeconds,
  secondsEach,
  restSeconds,
}: {
  capSeconds: number;
  secondsEach: number;
  restSeconds: number;
}): number {
  return Math.floor((capSeconds + restSeconds) / (secondsEach + restSeconds));
}

/**
 * The levels of a gate, fewest hits first. The time planned is what it takes to open with the chosen probability, from
 * the exact distribution of the number of tries, and the cap where that is sooner. Of numbers of hits that all run into
 * the cap one is kept.
 */
export function gateLevels(dose: GateDose): DoseLevel[] {
  const levels = stepsOf(dose.hits, 1).map((hits) => gateLevel(dose, hits));
  return rising(levels, (level) => level.counts[0]?.amount === dose.hits.ideal);
}

function gateLevel(dose: GateDose, hits: number): DoseLevel {
  const sides = sideCount(dose.sides);
  const most = triesUnderCap(dose);
  const tries = triesFor(dose.rule, hits, dose.chancePercent / 100, dose.surePercent / 100, most);
  return {
    seconds: gateSeconds(dose, tries),
    workSeconds: (tries ?? most) * dose.secondsEach * sides,
    volume: { unit: "tries", amount: (tries ?? most) * sides },
    actions: (tries ?? most) * sides,
    meanTries: meanTries(dose.rule, hits, dose.chancePercent / 100, most) * sides,
    words: `${ruleWords(dose.rule, hits)}${sideWords(dose.sides)}, at most ${formatLength(dose.capSeconds)}`,
    counts: [{ noun: ["hit", "hits"], amount: hits }],
  };
}

/**
 * Seconds planned: for each side the tries with a rest between every two, or the cap when no number of tries is sure
 * enough. In turn the partner's tries come between, and the cap is for each of the two.
 */
function gateSeconds(dose: GateDose, tries: number | null): number {
  const { secondsEach: boutSeconds, restSeconds, capSeconds, partner } = dose;
  const inTurn = partner?.mode === "alternating";
  const cap = inTurn ? 2 * capSeconds : capSeconds;
  const played = (bouts: number) =>
    secondsOf({ bouts, boutSeconds, restSeconds }, inTurn ? partner : undefined);
  // So many tries fit under the cap, so that it is never passed.
  const side = tries === null ? cap : played(tries);
  const all = { bouts: 1, boutSeconds: side * sideCount(dose.sides), restSeconds: 0 };
  return secondsOf(all, inTurn ? undefined : partner);
}

function ruleWords(rule: GateRule, hits: number): string {
  switch (rule.kind) {
    case "total":
      return `${hits} ${hits === 1 ? "hit" : "hits"}`;
    case "row":
      return hits === 1 ? "1 hit" : `${hits} hits in a row`;
    case "of":
      return `${hits} of the last ${rule.window}`;
  }
}

/** Seconds of it without what roles swapped add. */
function onceSeconds(seconds: number, partner: Partner | undefined): number {
  return partner?.mode === "swapped" ? (seconds - partner.changeoverSeconds) / 2 : seconds;
}

/** What there is to a dose of this kind. */
export const gateKind = {
  schema: gateDoseSchema,
  levels: gateLevels,
  ideal: (dose, levels) => levels.findIndex((level) => level.counts[0]?.amount === dose.hits.ideal),
  main: "hits",
  bouts: (dose, { seconds }) => {
    const side = onceSeconds(seconds, dose.partner) / sideCount(dose.sides);
    return bySide(dose.sides, 0, (name) => [work(name, side)]);
  },
  first: (seconds = 240) => ({
    kind: "gate",
    rule: { kind: "total" },
    hits: firstRange(2, 4),
    chancePercent: 60,
    secondsEach: 10,
    restSeconds: 5,
    surePercent: 80,
    // Never longer than it is to take, in half minutes.
    capSeconds: Math.min(1800, Math.max(30, Math.ceil(seconds / 30) * 30)),
    sides: "one",
  }),
} satisfies PlainKind<GateDose>;
