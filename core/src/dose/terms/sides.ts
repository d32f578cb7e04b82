import { z } from "zod";

/** Which sides of the body a dose covers: the whole body at once, left and right in turn, or the better side only. */
export const sidesSchema = z.enum(["one", "both", "dominant"]);
export type Sides = z.infer<typeof sidesSchema>;

/** How many times the dose is done for its sides. */
export function sideCount(sides: Sides): 1 | 2 {
  return sides === "both" ? 2 : 1;
}

/** " a side", " on the better side" or nothing, to follow an amount. */
export function sideWords(sides: Sides): string {
  if (sides === "both") return " a side";
  return sides === "dominant" ? ", better side" : "";
}
