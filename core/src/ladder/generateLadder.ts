import { z } from "zod";
import { scaleItemSchema } from "../athlete/scale";
import { MOST_TRIES } from "../dose/gateDose";
import type { PlainDose } from "../dose/plainDose";
import { plainLevels } from "../dose/plainLevels";
import { intensitySchema } from "../plan/intensity";
import { spokenLength } from "../time/clock";
import { climbEfforts, repsAt } from "./efforts";
import { type LadderDose, ladderDoseSchema, MOST_RUNGS, type Rung } from "./ladderDose";
import { ladderLevels } from "./ladderLevels";
import { CONFIDENT_PERCENT, hardestConfident, labelFor } from "./scaleLabels";

/** Effort up to which a repetition counts as easy, per cent. */
export const EASY_PERCENT = 40;

/** Effort from which single repetitions are rested between, per cent. */
const NEAR_LIMIT_PERCENT = 80;

export const ladderShapeSchema = z.enum([
  "even",
  "confidence",
  "targets",
  "distances",
  "realism",
  "partners",
]);
export type LadderShape = z.infer<typeof ladderShapeSchema>;

const seconds = (most: number) => z.number().int().min(0).max(most);

/** What a ladder is made from. */
export const ladderWishSchema = z
  .strictObject({
    shape: ladderShapeSchema,
    /** Effort of the first and of the last rung, per cent. */
    bottom: intensitySchema,
    top: intensitySchema,
    /** Largest rise from one rung to the next, points. */
    stepPoints: z.number().int().min(5, { error: "The largest step is 5 to 100 points." }).max(100),
    /** Repetitions at 40 % or below before anything above it. */
    easyReps: z.number().int().min(0).max(60, { error: "At most 60 easy repetitions." }),
    /** Most time it may take, seconds. */
    seconds: z.number().int().min(1, { error: "Give it some time." }).max(7200),
    /** Seconds for one repetition. */
    secondsEach: z.number().int().min(1, { error: "A repetition takes at least 1 s." }).max(600),
    /** Repetitions on the first rung. */
    reps: z.number().int().min(1, { error: "At least one repetition." }).max(30),
    /** How much of the repetitions is gone at the top, per cent. */
    taperPercent: z.number().int().min(0).max(100),
    /** Rest after a rung, and between single efforts near the limit. */
    rest: z.discriminatedUnion("kind", [
      z.strictObject({ kind: z.literal("none") }),
      z.strictObject({ kind: z.literal("fixed"), seconds: seconds(900) }),
      z.strictObject({ kind: z.literal("multiple"), times: z.number().min(0).max(20) }),
    ]),
    /** The athlete's scale, or targets, distances, stages: what the rungs are called, easiest first. */
    labels: z.array(scaleItemSchema).max(24),
    /** Of a gate: hits wanted, and the chance of one, per cent. */
    hits: z.number().int().min(1).max(10),
    chancePercent: z.number().int().min(1, { error: "The chance of a hit is 1 to 99 %." }).max(99, {
      error: "The chance of a hit is 1 to 99 %.",
    }),
  })
  .refine((w) => w.bottom <= w.top, { path: ["top"], error: "The top may not be below the bottom." })
  .refine((w) => w.easyReps === 0 || w.top <= EASY_PERCENT || w.bottom <= EASY_PERCENT, {
    path: ["bottom"],
    error: `No rung is at ${EASY_PERCENT} % or below, where the easy repetitions would be: lower the bottom, or ask for none.`,
  });

export type LadderWish = z.infer<typeof ladderWishSchema>;

export type LadderAnswer =
  | { ok: true; dose: LadderDose; seconds: number; gaveUp: string[] }
  | { ok: false; path: string; message: string };

/** What each shape is called, and what it does. */
export const LADDER_SHAPES: Record<LadderShape, { name: string; about: string }> = {
  even: {
    name: "Even climb",
    about: "Equal steps from the bottom to the top, fewer repetitions as they get harder.",
  },
  confidence: {
    name: "Climb, rest, confident",
    about:
      "Two easy levels in turn, a climb without rest that raises the heart rate, a rest, then two efforts near the target that should succeed.",
  },
  targets: {
    name: "Target by target",
    about: "Effort rises with hits asked on one target until it is secured, then on the next.",
  },
  distances: {
    name: "Soft to fast, then further",
    about: "From soft to fast at one distance, then at the next. No distance is skipped.",
  },
  realism: {
    name: "Towards the real thing",
    about: "From standing and self-fed to as it is in competition.",
  },
  partners: {
    name: "Both in turn",
    about: "An even climb that two athletes do in turn: it takes twice as long.",
  },
};

/** Stages for a shape whose labels nobody gave. */
const USUAL_LABELS: Partial<Record<LadderShape, readonly string[]>> = {
  targets: ["First target", "Second target"],
  distances: ["Near", "Middle", "Far"],
  realism: ["Standing, self-fed", "With the approach", "Answering a feed", "As in competition"],
};

/**
 * Makes a ladder. Steps are never steeper than allowed, and volume never rises with intensity. When time is short
 * repetitions go first, hardest rung first, then the top comes down; what was given up is said in `gaveUp`.
 * @param makeId gives a new UUID for every rung
 * @returns the ladder, or the field that makes it impossible and what to do
 */
export function generateLadder(wish: LadderWish, makeId: () => string): LadderAnswer {
  const checked = ladderWishSchema.safeParse(wish);
  if (!checked.success) {
    const [issue] = checked.error.issues;
    return {
      ok: false,
      path: issue?.path.join(".") ?? "",
      message: issue?.message ?? "This cannot be made.",
    };
  }
  const known: Known = new Map();
  for (let top = wish.top; top >= wish.bottom; top--) {
    const notes: string[] = [];
    const plan = outline({ ...wish, top }, notes);
    if (plan.length > MOST_RUNGS) {
      if (top > wish.bottom) continue;
      return {
        ok: false,
        path: "stepPoints",
        message: `That takes more than ${MOST_RUNGS} rungs: allow a larger step.`,
      };
    }
    const least = plan.map((rung) => rung.least);
    if (lengthOf(plan, least, known) > wish.seconds) continue;
    const amounts = growInto(plan, least, wish.seconds, known);
    return answer(wish, plan, amounts, top, notes, makeId);
  }
  const shortest = outline({ ...wish, top: wish.bottom }, []);
  const needs = lengthOf(
    shortest,
    shortest.map((r) => r.least),
    known,
  );
  return {
    ok: false,
    path: "seconds",
    message: `Even the bottom alone takes ${spokenLength(needs)}: give it more time, or fewer easy repetitions.`,
  };
}

/** Seconds that have been reckoned before, by what they depend on. */
type Known = Map<string, number>;

/** A rung before its amount is settled. */
interface RungPlan {
  /** Rungs of the same key take the same time for the same amount. */
  key: string;
  label: string;
  intensity: number;
  chancePercent: number | undefined;
  /** Fewest and wanted repetitions, rounds or hits. */
  least: number;
  wanted: number;
  dose: (amount: number, least: number) => PlainDose;
  restSeconds: number;
}

function outline(wish: LadderWish, notes: string[]): RungPlan[] {
  switch (wish.shape) {
    case "even":
    case "partners":
      return easyFirst(climb(wish, wish.bottom, wish.top, null), wish);
    case "realism":
      return easyFirst(stages(wish), wish);
    case "distances":
      return easyFirst(
        labelsOf(wish).flatMap((label) => climb(wish, wish.bottom, wish.top, label)),
        wish,
      );
    case "targets":
      return easyFirst(
        labelsOf(wish).flatMap((label, i) =>
          // The first target carries the whole climb; the others begin where it is warm already.
          climb(
            wish,
            i === 0 ? wish.bottom : Math.max(wish.bottom, wish.top - 2 * wish.stepPoints),
            wish.top,
            label,
          ),
        ),
        wish,
      );
    case "confidence":
      return confidence(wish, notes);
  }
}

function labelsOf({ shape, labels }: LadderWish): string[] {
  return labels.length > 0 ? labels.map((l) => l.name) : [...(USUAL_LABELS[shape] ?? [])];
}

/** Even steps; each rung named by the scale, or by the one label given. */
function climb(wish: LadderWish, from: number, to: number, label: string | null): RungPlan[] {
  return climbEfforts(from, to, wish.stepPoints).map((intensity) =>
    rungPlan(wish, intensity, label === null ? labelFor(wish.labels, intensity) : { name: label }),
  );
}

/** One stage after another, with as many steps in a stage as the climb needs. */
function stages(wish: LadderWish): RungPlan[] {
  const names = labelsOf(wish);
  const efforts = climbEfforts(wish.bottom, wish.top, wish.stepPoints, names.length);
  return efforts.map((intensity, i) => {
    const at = Math.min(names.length - 1, Math.floor((i * names.length) / efforts.length));
    return rungPlan(wish, intensity, { name: names[at] ?? "" });
  });
}

function rungPlan(
  wish: LadderWish,
  intensity: number,
  label: { name: string; chancePercent?: number | null } | null,
): RungPlan {
  const wanted = wish.shape === "targets" ? hitsAt(wish, intensity) : repsAt(wish, intensity);
  return {
    key: intensity > NEAR_LIMIT_PERCENT ? "hard" : "flowing",
    label: label?.name ?? "",
    intensity,
    chancePercent: label?.chancePercent ?? undefined,
    least: 1,
    wanted,
    dose: (amount, least) => doseOf(wish, intensity, amount, least),
    restSeconds: restAfter(wish),
  };
}

const hitsAt = (wish: LadderWish, intensity: number) =>
  Math.max(1, Math.min(wish.hits, repsAt(wish, intensity)));

/** Seconds of rest after a rung: fixed, or a multiple of a hard effort's length. */
function restAfter({ rest, secondsEach }: LadderWish): number {
  if (rest.kind === "none") return 0;
  return rest.kind === "fixed" ? rest.seconds : Math.min(1800, Math.ceil(rest.times * secondsEach));
}

function doseOf(wish: LadderWish, intensity: number, amount: number, least: number): PlainDose {
  const range = { floor: least, ideal: amount, ceiling: amount };
  const within = intensity > NEAR_LIMIT_PERCENT ? restAfter(wish) : 0;
  const partner =
    wish.shape === "partners" ? { partner: { mode: "alternating" as const, changeoverSeconds: 0 } } : {};
  if (wish.shape === "targets") {
    const { secondsEach, chancePercent } = wish;
    return {
      kind: "gate",
      rule: { kind: "total" },
      hits: range,
      chancePercent,
      secondsEach,
      restSeconds: 0,
      surePercent: 80,
      // Twice what the hits alone would take, but never so long that it is no gate any more.
      capSeconds: Math.min(
        1800,
        MOST_TRIES * secondsEach,
        Math.max(5, secondsEach, Math.ceil((2 * amount * secondsEach * 100) / chancePercent)),
      ),
      sides: "one",
    };
  }
  return {
    kind: "attempts",
    attempts: range,
    secondsEach: wish.secondsEach,
    sides: "one",
    rest: { kind: "fixed", seconds: within },
    ...partner,
  };
}

/** Raises the easy rungs at the foot of the climb until enough repetitions stand before anything above easy. */
function easyFirst(rungs: RungPlan[], wish: LadderWish): RungPlan[] {
  const firstHard = rungs.findIndex((r) => r.intensity > EASY_PERCENT);
  if (firstHard < 0 || wish.easyReps === 0) return rungs;
  const easy = rungs.slice(0, firstHard);
  const wanted = [...easy.map((r) => r.wanted)];
  while (sum(wanted) < wish.easyReps) {
    // The easiest of the fewest, so that volume still falls towards the top.
    const at = wanted.indexOf(Math.min(...wanted));
    wanted[at] = (wanted[at] as number) + 1;
  }
  const least = spread(wish.easyReps, easy.length);
  return rungs.map((rung, i) =>
    i < firstHard
      ? { ...rung, wanted: Math.max(wanted[i] as number, least[i] as number), least: least[i] as number }
      : rung,
  );
}

/** So many over so many rungs, as evenly as can be, the first ones getting more. */
function spread(many: number, over: number): number[] {
  return Array.from({ length: over }, (_, i) => Math.max(1, Math.ceil((many - i) / over)));
}

/** Two easy levels in turn, a climb without a rest, a rest, two efforts that should succeed. */
function confidence(wish: LadderWish, notes: string[]): RungPlan[] {
  const { bottom, top, stepPoints, labels, easyReps, secondsEach } = wish;
  const easyTop = Math.min(
    bottom + stepPoints,
    top,
    bottom <= EASY_PERCENT ? Math.max(bottom, EASY_PERCENT) : top,
  );
  const [low, high] = [bottom, easyTop].map((effort) => labelFor(labels, effort)?.name ?? `${effort} %`);
  const rounds = Math.max(1, Math.ceil(easyReps / 2));
  const inTurn: RungPlan = {
    key: "in turn",
    label: low === high ? (low ?? "") : `${low} and ${high} in turn`.slice(0, 60),
    intensity: easyTop,
    chancePercent: undefined,
    least: rounds,
    wanted: Math.max(rounds, 5),
    dose: (amount, least) => ({
      kind: "circuit",
      movements: [low, high].map((name) => ({
        name: (name ?? "Easy").slice(0, 60),
        seconds: Math.max(5, secondsEach),
        metres: 0,
        breather: false,
      })),
      rounds: { floor: least, ideal: amount, ceiling: amount },
      restSeconds: 0,
      roundRestSeconds: 0,
    }),
    restSeconds: 0,
  };
  const target = hardestConfident(labels, top);
  if (labels.length > 0 && !target)
    notes.push(
      `Nothing on the scale up to ${top} % succeeds ${CONFIDENT_PERCENT} times in 100: the two last efforts are by effort alone.`,
    );
  const last = target ? Math.min(top, target.intensity) : top;
  const once = (intensity: number, restSeconds: number): RungPlan => ({
    ...rungPlan(wish, intensity, labelFor(labels, intensity)),
    key: "once",
    least: 1,
    wanted: 1,
    dose: (amount, least) =>
      doseOf({ ...wish, shape: "even", rest: { kind: "none" } }, intensity, amount, least),
    restSeconds,
  });
  const up = climbEfforts(easyTop, top, stepPoints).slice(1);
  const longRest = Math.max(180, restAfter(wish));
  const between = Math.max(180, Math.min(240, longRest));
  return [
    inTurn,
    ...up.map((intensity, i) => once(intensity, i === up.length - 1 ? longRest : 0)),
    {
      ...rungPlan(wish, last, target ?? null),
      key: "confident",
      least: 1,
      wanted: 2,
      dose: (amount, least) => ({
        kind: "attempts",
        attempts: { floor: least, ideal: amount, ceiling: amount },
        secondsEach,
        sides: "one",
        rest: { kind: "fixed", seconds: between },
      }),
      restSeconds: 0,
    },
  ];
}

function lengthOf(plan: readonly RungPlan[], amounts: readonly number[], known: Known): number {
  return plan.reduce(
    (total, rung, i) =>
      total + secondsOf(rung, amounts[i] as number, known) + (i === plan.length - 1 ? 0 : rung.restSeconds),
    0,
  );
}

function secondsOf(rung: RungPlan, amount: number, known: Known): number {
  const key = `${rung.key} ${amount}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const seconds = plainLevels(rung.dose(amount, amount))[0]?.seconds ?? 0;
  known.set(key, seconds);
  return seconds;
}

/** From the fewest towards the wanted, easiest rung first, as far as the time goes; never more on a harder rung. */
function growInto(plan: readonly RungPlan[], least: readonly number[], most: number, known: Known): number[] {
  const now = [...least];
  let total = lengthOf(plan, now, known);
  for (let grew = true; grew; ) {
    grew = false;
    for (let i = 0; i < plan.length; i++) {
      const rung = plan[i] as RungPlan;
      const before = plan[i - 1];
      const more = (now[i] as number) + 1;
      if (more > rung.wanted) continue;
      if (
        before &&
        before.key === rung.key &&
        rung.intensity > before.intensity &&
        more > (now[i - 1] as number)
      )
        continue;
      const adds = secondsOf(rung, more, known) - secondsOf(rung, more - 1, known);
      if (total + adds > most) continue;
      now[i] = more;
      total += adds;
      grew = true;
    }
  }
  return now;
}

function answer(
  wish: LadderWish,
  plan: readonly RungPlan[],
  amounts: readonly number[],
  top: number,
  notes: readonly string[],
  makeId: () => string,
): LadderAnswer {
  // Few enough choices that the fit can tell them apart, however many rungs there are.
  const choices = Math.max(1, Math.floor(48 / plan.length));
  const rungs = plan.map((rung, i): Rung => {
    const amount = amounts[i] as number;
    const { label, intensity, chancePercent } = rung;
    return {
      id: makeId(),
      label,
      intensity,
      dose: rung.dose(amount, Math.max(Math.min(rung.least, amount), amount - choices)),
      focus: "",
      restSeconds: rung.restSeconds,
      ...(chancePercent === undefined ? {} : { chancePercent }),
    };
  });
  const dose: LadderDose = { kind: "ladder", rungs, leastRungs: Math.min(rungs.length, leastOf(plan)) };
  const parsed = ladderDoseSchema.safeParse(dose);
  if (!parsed.success) {
    return {
      ok: false,
      path: "reps",
      message: parsed.error.issues[0]?.message ?? "Ask for fewer repetitions.",
    };
  }
  const wanted = outline({ ...wish, top }, []).map((r) => r.wanted);
  const fewer = sum(wanted) - sum(amounts);
  const what = wish.shape === "targets" ? "hits" : "repetitions";
  return {
    ok: true,
    dose,
    seconds: ladderLevels(dose).at(-1)?.seconds ?? 0,
    gaveUp: [
      ...(top < wish.top ? [`The top came down from ${wish.top} to ${top} %.`] : []),
      ...(fewer > 0 ? [`${sum(wanted)} → ${sum(amounts)} ${what}.`] : []),
      ...notes,
    ],
  };
}

/** The rungs that are climbed at the very least: the easy ones. */
function leastOf(plan: readonly RungPlan[]): number {
  return Math.max(1, plan.filter((r) => r.intensity <= EASY_PERCENT).length);
}

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);
