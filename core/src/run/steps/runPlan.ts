import { z } from "zod";
import { conditionsSchema } from "../../conditions/setting";
import { gateRuleSchema } from "../../dose/kinds/gateDose";
import { MOST_RUNGS } from "../../dose/ladder/ladderDose";
import { dosePartSchema } from "../../dose/terms/part";
import { calledSchema } from "../../drill/called";
import { runGroupSchema } from "../../group/group";
import { MOST_DRILLS, planBodySchema } from "../../plan/plan";
import { instantSchema } from "../../time/instant";
import { DAY_SECONDS } from "../../time/units";
import { fitContextSchema } from "../../venue/context";
import { intensitySchema } from "../../words/intensity";
import { phaseSchema } from "../../words/phase";
import { nameSchema, noteSchema, tagSchema, verbatimSchema } from "../../words/text";

/** One drill, or one wait between two, as it is to be run: the fitted level, frozen. */
export const runDrillSchema = z.strictObject({
  /** The plan's item; of a ladder the rung; of a wait what it comes after. */
  itemId: z.uuid(),
  name: nameSchema,
  phase: phaseSchema,
  intensity: intensitySchema,
  focus: noteSchema,
  place: noteSchema,
  /** The dose in words: "3 × 5 a side". */
  words: noteSchema,
  /** Seconds. */
  plannedSeconds: z.number().int().min(1).max(DAY_SECONDS),
  /** The plan's item that a rung belongs to. */
  ladderId: z.uuid().optional(),
  /** The item's level, for saying what a re-fit changes. */
  level: z.number().int().min(0).max(200).optional(),
  /** Single actions in it, as far as known, for limits on totals. */
  actions: z.number().int().min(0).max(100_000).optional(),
  /** Whether those are explosive. */
  explosive: z.literal(true).optional(),
  /** The shelf's drill that it came from. */
  drillId: z.uuid().optional(),
  /** What is counted through. */
  parts: z.array(dosePartSchema).max(600).optional(),
  /** What opens it, side by side. */
  gate: z
    .strictObject({
      rule: gateRuleSchema,
      hits: z.number().int().min(1).max(30),
      sides: z.number().int().min(1).max(2),
      /** Longest time for one side, seconds. */
      capSeconds: z.number().int().min(5).max(1800),
    })
    .optional(),
  /** Done at the pace of breath. */
  breath: z.literal(true).optional(),
  /** Movements that are called during it. */
  called: calledSchema.optional(),
  /** Nothing is done: a way, a rest, or waiting for a time. */
  wait: z
    .strictObject({
      /** It takes at least so long, seconds. */
      leastSeconds: z.number().int().min(0).max(DAY_SECONDS),
      /** And goes on until then. */
      until: instantSchema.optional(),
    })
    .optional(),
});

export type RunDrill = z.infer<typeof runDrillSchema>;

/** So many steps at most: every drill rung by rung, and a wait after each. */
export const MOST_STEPS = MOST_DRILLS * MOST_RUNGS * 2;

/** A step that stays as it was: where it came from, so that a log says it once. */
export const sameStepSchema = z.strictObject({
  same: verbatimSchema(40),
  /** The press that brought it; the plan itself unless given. */
  from: z.uuid().optional(),
});

/** The steps of a re-fit: most of them stay as they were. */
export const refitStepsSchema = z.array(z.union([sameStepSchema, runDrillSchema])).max(MOST_STEPS);

export type RefitStep = z.infer<typeof refitStepsSchema>[number];

/** The fitted plan a run follows. */
export const runPlanSchema = z.strictObject({
  drills: z
    .array(runDrillSchema)
    .min(1, { error: "There is nothing to run: the plan has no drill that fits." })
    .max(MOST_STEPS),
  /** The wait planned before the start, seconds. */
  waitSeconds: z.number().int().min(0).max(DAY_SECONDS),
  /** The start when the run was made. */
  startsAt: instantSchema,
  /** A warm-up, unless it says that it is not. */
  kind: z.enum(["warm-up", "cool-down"]).optional(),
  /** What it was fitted from, so that the rest can be fitted anew when the day changes. */
  source: z.strictObject({ plan: planBodySchema, context: fitContextSchema }).optional(),
  /** What it was like when the run was made. */
  conditions: conditionsSchema.optional(),
  /** Who warms up together; left out where it is one athlete alone. */
  group: runGroupSchema.optional(),
  /** Kit to check before the start. */
  kit: z.array(tagSchema).max(40).optional(),
});

export type RunPlan = z.infer<typeof runPlanSchema>;

/** What tells the steps of a run apart. */
export function stepKey({ itemId, wait }: Pick<RunDrill, "itemId" | "wait">): string {
  return wait ? `${itemId}~` : itemId;
}
