import { z } from "zod";
import { idleLine } from "../fit/explain";
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

/**
 * Freezes a fit into what a run follows. Drills left out are not in it; a ladder is run rung by rung; a gap after a drill
 * (a way, a rest, a fixed point) belongs to it, so that the next begins when it was planned to.
 */
export function runPlanOf(fit: Fit, startsAt: string): RunPlan {
  const kept = fit.placements.filter((p) => p.level);
  const drills = kept.flatMap((placement, n) => {
    const end = placement.beginSeconds + placement.spanSeconds;
    const next = kept[n + 1];
    const gap = next ? next.beginSeconds - end : 0;
    const turns = placement.spanSeconds - (placement.level?.seconds ?? 0);
    const idle = fit.idle.find((i) => i.fromSeconds === end);
    return withMore(runDrills(placement), gap + turns, gap > 0 && idle ? idleLine(idle) : "");
  });
  const last = kept.at(-1);
  const waitSeconds = last ? -(last.beginSeconds + last.spanSeconds) : fit.waitSeconds;
  return { drills, waitSeconds, startsAt };
}

function withMore(drills: RunDrill[], seconds: number, why: string): RunDrill[] {
  const last = drills.at(-1);
  if (!last || seconds === 0) return drills;
  const words = why ? `${last.words}; then ${why}` : last.words;
  return [
    ...drills.slice(0, -1),
    { ...last, words: words.slice(0, 200), plannedSeconds: last.plannedSeconds + seconds },
  ];
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
