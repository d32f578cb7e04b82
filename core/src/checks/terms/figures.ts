import type { OwnFigure } from "../../plan/ownFigure";
import type { Check } from "./check";

/** Figures of checks that a club has of its own; the others are as they are by default. */
export type ClubFigures = readonly OwnFigure[];

/** The figures of a check that are in force in a club; of one that is named twice the later. */
export function figuresOf(
  { code, figures }: Pick<Check, "code" | "figures">,
  club: ClubFigures,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(figures).map(([key, { value }]) => [
      key,
      club.findLast((own) => own.check === code && own.figure === key)?.value ?? value,
    ]),
  );
}
