import type { Dose } from "./dose";
import { mapRanges } from "./mapRanges";

/** The same dose done at its floor, whatever time there is. */
export const atFloor = <D extends Dose>(dose: D): D => mapRanges(dose, (range) => heldAt(range.floor));

/** The same dose done at its ideal, whatever time there is. */
export const atIdeal = <D extends Dose>(dose: D): D => mapRanges(dose, (range) => heldAt(range.ideal));

/** A dose that does not grow beyond its ideal by itself. */
export const withoutGrowth = <D extends Dose>(dose: D): D =>
  mapRanges(dose, (range) => ({ ...range, ceiling: range.ideal }));

/** A range that is one amount. */
export const heldAt = (amount: number) => ({ floor: amount, ideal: amount, ceiling: amount });
