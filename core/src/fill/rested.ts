import type { Dose } from "../dose/dose";
import type { Approach } from "./input/approaches";

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
