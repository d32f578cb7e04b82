import { z } from "zod";
import type { Fit, Placement } from "../fit/fit";
import { MOST_RUNGS } from "../ladder/ladderDose";
import { intensitySchema } from "../plan/intensity";
import { phaseSchema } from "../plan/phase";
import { MOST_DRILLS } from "../plan/plan";
import { nameSchema, noteSchema } from "../plan/text";
import { spokenLength } from "../time/clock";

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
    .max(MOST_DRILLS * MOST_RUNGS),
  /** The wait planned before the start, seconds. */
  waitSeconds: z.number().int().min(0).max(86_400),
  /** The start when the run was made. */
  startsAt: z.iso.datetime(),
});

export type RunPlan = z.infer<typeof runPlanSchema>;

/** Freezes a fit into what a run follows. Drills left out are not in it; a ladder is run rung by rung. */
export function runPlanOf(fit: Fit, startsAt: string): RunPlan {
  return { drills: fit.placements.flatMap(runDrills), waitSeconds: fit.waitSeconds, startsAt };
}

function runDrills({ item, level }: Placement): RunDrill[] {
  if (!level) return [];
  const { phase, place } = item;
  if (!level.rungs) {
    const { id: itemId, name, intensity, focus } = item;
    return [
      { itemId, name, phase, intensity, focus, place, words: level.words, plannedSeconds: level.seconds },
    ];
  }
  return level.rungs.map((rung) => ({
    itemId: rung.id,
    name: `${item.name.slice(0, 120 - rung.name.length - 2)}: ${rung.name}`,
    phase,
    intensity: rung.intensity,
    focus: rung.focus || item.focus,
    place,
    words:
      `${rung.words}${rung.restSeconds > 0 ? `, then ${spokenLength(rung.restSeconds)} rest` : ""}`.slice(
        0,
        200,
      ),
    plannedSeconds: rung.seconds + rung.restSeconds,
  }));
}
