import type { SheetStep } from "../sheet/printedSheet";
import { csvText } from "./csvText";

/** The steps of a day by the clock, as they usually are and if it goes badly. */
export function stepsCsv(steps: readonly SheetStep[]): string {
  return csvText(
    ["Clock", "If badly", "Day", "Step", "Place", "Takes"],
    steps.map(({ clock, badly, day, name, place, takes }) => [
      clock,
      badly ?? clock,
      day,
      name,
      place,
      takes,
    ]),
  );
}
