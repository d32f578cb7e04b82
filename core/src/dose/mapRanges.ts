import type { Dose } from "./dose";
import type { Range } from "./terms/range";

/** A dose with each of its ranges changed, those of a ladder's rungs too; everything else stays. */
export function mapRanges<D extends Dose>(dose: D, change: (range: Range) => Range): D {
  if (dose.kind === "ladder")
    return { ...dose, rungs: dose.rungs.map((r) => ({ ...r, dose: mapRanges(r.dose, change) })) };
  const entries = Object.entries(dose).map(([name, value]) => [name, isRange(value) ? change(value) : value]);
  return Object.fromEntries(entries) as D;
}

function isRange(value: unknown): value is Range {
  return typeof value === "object" && value !== null && "floor" in value && "ideal" in value;
}
