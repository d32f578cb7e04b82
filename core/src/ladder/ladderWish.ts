import { z } from "zod";
import { scaleItemSchema } from "../athlete/scale";
import { intensitySchema } from "../words/intensity";

/** Effort up to which a repetition counts as easy, per cent. */
export const EASY_PERCENT = 40;

/** How a ladder climbs. */
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
    easyReps: z.number().int().min(0).max(40, { error: "At most 40 easy repetitions." }),
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

/** What is wished for to begin with. Custom. */
export const FIRST_WISH: LadderWish = {
  shape: "even",
  bottom: 15,
  top: 85,
  stepPoints: 20,
  easyReps: 10,
  seconds: 480,
  secondsEach: 10,
  reps: 6,
  taperPercent: 60,
  rest: { kind: "fixed", seconds: 15 },
  labels: [],
  hits: 3,
  chancePercent: 60,
};

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
