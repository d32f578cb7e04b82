import { isRight } from "../words/tolerant";
import { type Dose, doseSchema } from "./dose";
import { mainRange, withMainRange } from "./kinds/mainRange";
import type { PlainDose } from "./kinds/plainDose";
import { moveEnd } from "./moveEnd";

/** Steps that a single press may go up to. */
const MOST_STEPS = 40;

/**
 * Returns a bit more or less of a dose: one step of its main count, on every rung of a ladder; the same dose where that cannot be.
 * @example nudgeDose(dose, 1) // for 90 s in steps of 30 s: 120 s
 */
export function nudgeDose(dose: Dose, steps: 1 | -1): Dose {
  const next =
    dose.kind === "ladder"
      ? { ...dose, rungs: dose.rungs.map((rung) => ({ ...rung, dose: nudged(rung.dose, steps) })) }
      : nudged(dose, steps);
  return isRight(doseSchema, next) ? next : dose;
}

function nudged(dose: PlainDose, steps: 1 | -1): PlainDose {
  const step = dose.kind === "time" ? dose.step : 1;
  const limits = { step, least: step, most: step * MOST_STEPS };
  return withMainRange(dose, moveEnd(mainRange(dose), "ideal", steps, limits));
}
