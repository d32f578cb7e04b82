import type { Dose } from "./dose";

/** The same dose done at its floor, whatever time there is: what of it has a range is held there. */
export function atFloor<D extends Dose>(dose: D): D {
  if (dose.kind === "ladder")
    return { ...dose, rungs: dose.rungs.map((r) => ({ ...r, dose: atFloor(r.dose) })) };
  const entries = Object.entries(dose).map(([name, value]) => [
    name,
    isRange(value) ? heldAt(value.floor) : value,
  ]);
  return Object.fromEntries(entries) as D;
}

/** A range that is one amount. */
export const heldAt = (amount: number) => ({ floor: amount, ideal: amount, ceiling: amount });

function isRange(value: unknown): value is { floor: number } {
  return typeof value === "object" && value !== null && "floor" in value && "ideal" in value;
}
