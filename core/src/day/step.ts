import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { lineSchema, nameSchema, tagSchema } from "../words/text";
import { DAY_KINDS } from "./kinds";

/** Most steps of a day; an ordinary one has a dozen. Custom. */
export const MOST_STEPS = 100;

/** Most rules of one step. Custom. */
export const MOST_RULES = 8;

/** Most lines of one step's list. Custom. */
export const MOST_LINES = 40;

/** Longest step, minutes: a night with its evening. */
export const LONGEST_STEP = 16 * 60;

/** Furthest that two things of one day lie apart, minutes. */
export const FURTHEST = 3 * 24 * 60;

const minutesSchema = (most: number) =>
  z
    .number({ error: "Give it in minutes." })
    .int({ error: "Give whole minutes." })
    .min(0, { error: "0 minutes or more." })
    .max(most, { error: `At most ${most} minutes.` });

const edgeSchema = z.enum(["begin", "end"]);
/** Which end of a step is meant. */
export type Edge = z.infer<typeof edgeSchema>;

/** A wall-clock time at the venue. */
const clockSchema = z
  .string()
  .max(5)
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: "Give the time as HH:MM, 00:00 to 23:59." });

/** How long the way to a venue takes, minutes. */
export const journeyMinutesSchema = minutesSchema(LONGEST_STEP);

/** The step whose list is the event's kit: what of it is there and in order on arrival. */
export const KIT_STEP = "kit";

/** A step's name for itself, by which rules of others name it. */
export const stepIdSchema = z
  .string()
  .max(40)
  .regex(/^[a-z0-9][a-z0-9-]*$/, { error: "Give small letters, digits and hyphens." });

/** What holds between a step and another, or the clock. */
export const stepRuleSchema = z.discriminatedUnion("kind", [
  z
    .strictObject({
      kind: z.literal("before"),
      /** Which end of this step, */
      edge: edgeSchema,
      /** at least so many minutes before */
      leastMinutes: minutesSchema(FURTHEST),
      /** and at most so many; as many as one likes unless given, */
      mostMinutes: minutesSchema(FURTHEST).optional(),
      /** this end of */
      ofEdge: edgeSchema,
      /** that step. */
      of: stepIdSchema,
    })
    .refine((r) => r.mostMinutes === undefined || r.mostMinutes >= r.leastMinutes, {
      path: ["mostMinutes"],
      error: "The most is less than the least.",
    }),
  z.strictObject({
    /** It ends when that step begins. */
    kind: z.literal("straight-before"),
    of: stepIdSchema,
  }),
  z
    .strictObject({
      kind: z.literal("clock"),
      edge: edgeSchema,
      /** Days from the day of the start: -1 is the day before. */
      day: z.number().int().min(-2).max(2),
      notBefore: clockSchema.optional(),
      notAfter: clockSchema.optional(),
    })
    .refine((r) => r.notBefore !== undefined || r.notAfter !== undefined, {
      error: "Give a time not before which, or not after which.",
    }),
]);

export type StepRule = z.infer<typeof stepRuleSchema>;

/** Something of the day that takes its time, in the order in which it is done. */
export const dayStepSchema = z.strictObject({
  id: stepIdSchema,
  name: nameSchema,
  kind: z.enum(DAY_KINDS),
  /** How long it takes usually, and if it goes badly; as usually unless given. */
  minutes: z.strictObject({
    usual: minutesSchema(LONGEST_STEP),
    bad: minutesSchema(LONGEST_STEP).optional(),
  }),
  /** It goes on beside the others and does not wait for them: drinking, warming the kit. */
  beside: z.boolean().default(false),
  place: z.union([z.literal(""), tagSchema]).default(""),
  note: lineSchema(200).default(""),
  /** What is ticked off in it, line by line: what is packed, what is there. */
  list: tagsSchema("lines", MOST_LINES).default([]),
  rules: z
    .array(stepRuleSchema)
    .max(MOST_RULES, { error: `At most ${MOST_RULES} rules of a step.` })
    .default([]),
});
export type DayStep = z.infer<typeof dayStepSchema>;
