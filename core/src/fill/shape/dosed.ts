import type { Approach } from "../../approach/approaches";
import type { Dose } from "../../dose/dose";
import { doseAt, levelWithin } from "../../dose/doseAt";
import { idealLevel } from "../../dose/levelsOf";
import { sideCount } from "../../dose/terms/sides";

/** Shortest easy movement that is worth it, seconds a side; coaches' 60 to 90 when short of time. Custom. */
export const LEAST_RAISE_SECONDS = 60;
/** Lengths are in such steps, seconds. */
const STEP_SECONDS = 5;

/** Easy movement of so many seconds, whatever it usually takes: it may be squeezed to a minute, and does not grow. */
export function easyFor(dose: Dose, seconds: number): Dose {
  if (dose.kind !== "time") return within(dose, seconds);
  const side = Math.max(LEAST_RAISE_SECONDS / sideCount(dose.sides), seconds / sideCount(dose.sides));
  const ideal = Math.max(STEP_SECONDS, STEP_SECONDS * Math.round(side / STEP_SECONDS));
  const floor = Math.min(
    ideal,
    Math.max(
      STEP_SECONDS,
      STEP_SECONDS * Math.ceil(LEAST_RAISE_SECONDS / sideCount(dose.sides) / STEP_SECONDS),
    ),
  );
  // Long ranges go in wider steps, so that there are never too many choices.
  const step = Math.max(dose.step, STEP_SECONDS * Math.ceil((ideal - floor) / STEP_SECONDS / 40));
  return { ...dose, seconds: { floor, ideal, ceiling: ideal }, step };
}

/** A dose that takes no more than so many seconds, nor more than its ideal: what it is at its floor at the least. */
export function within<D extends Dose>(dose: D, seconds: number): D {
  return doseAt(dose, Math.min(idealLevel(dose), levelWithin(dose, seconds)));
}

/** Single efforts with the rest that the approach gives them: full near the limit, or none to raise the heart rate. */
export function rested(dose: Dose, effort: number, { sides }: Approach): Dose {
  if (dose.kind !== "attempts") return dose;
  if (sides.rest === "full" && effort >= 80) {
    const now = dose.rest.kind === "fixed" ? dose.rest.seconds : dose.rest.times * dose.secondsEach;
    const full = Math.min(240, Math.max(60, 5 * dose.secondsEach));
    return { ...dose, rest: { kind: "fixed", seconds: Math.max(Math.ceil(now), full) } };
  }
  if (sides.rest === "none" && effort < 80) return { ...dose, rest: { kind: "fixed", seconds: 0 } };
  return dose;
}
