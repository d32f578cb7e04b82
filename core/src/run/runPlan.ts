import { z } from "zod";
import type { Fit } from "../fit/fit";
import { phaseSchema } from "../plan/phase";
import { intensitySchema, MOST_DRILLS, nameSchema, noteSchema } from "../plan/plan";

/** One drill as it is to be run: the fitted level, frozen. */
export const runDrillSchema = z.strictObject({
  itemId: z.uuid(),
  name: nameSchema,
  phase: phaseSchema,
  intensity: intensitySchema,
  focus: noteSchema,
  place: noteSchema,
  /** The dose in words: "3 × 5 a side". */
  words: noteSchema,
  /** Seconds. */
  plannedSeconds: z.number().int().min(1).max(86_400),
});

export type RunDrill = z.infer<typeof runDrillSchema>;

/** The fitted plan a run follows. */
export const runPlanSchema = z.strictObject({
  drills: z
    .array(runDrillSchema)
    .min(1, { error: "There is nothing to run: the plan has no drill that fits." })
    .max(MOST_DRILLS),
  /** The wait planned before the start, seconds. */
  waitSeconds: z.number().int().min(0).max(86_400),
  /** The start when the run was made. */
  startsAt: z.iso.datetime(),
});

export type RunPlan = z.infer<typeof runPlanSchema>;

/** Freezes a fit into what a run follows. Drills left out are not in it. */
export function runPlanOf(fit: Fit, startsAt: string): RunPlan {
  return {
    drills: fit.placements.flatMap(({ item, level }) =>
      level
        ? [
            {
              itemId: item.id,
              name: item.name,
              phase: item.phase,
              intensity: item.intensity,
              focus: item.focus,
              place: item.place,
              words: level.words,
              plannedSeconds: level.seconds,
            },
          ]
        : [],
    ),
    waitSeconds: fit.waitSeconds,
    startsAt,
  };
}
