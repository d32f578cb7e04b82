import { figureListSchema, type OwnFigure } from "../plan/ownFigure";
import { type Fault, faultsIn } from "../words/fault";
import { CHECKS } from "./list";
import type { Check } from "./terms/check";

/** Figures of checks that a club has of its own; the others are as they are by default. */
export type ClubFigures = readonly OwnFigure[];

/** The same as it is sent and kept, checked against the checks there are. */
export const clubFiguresSchema = figureListSchema.check(faultsIn(figureFaults));

/** Names of checks and figures that there are none of, and numbers that cannot be. */
function figureFaults(figures: ClubFigures): Fault[] {
  return figures.flatMap(({ check: code, figure: key, value }, i): Fault[] => {
    const check = CHECKS.find((c) => c.code === code);
    if (!check) return [{ path: [i, "check"], message: "There is no such check." }];
    const figure = check.figures[key];
    if (!figure) return [{ path: [i, "figure"], message: "This check has no such figure." }];
    const { least, most, unit } = figure;
    return value >= least && value <= most && Number.isInteger(value)
      ? []
      : [{ path: [i, "value"], message: `A whole number from ${least} to ${most} ${unit}.` }];
  });
}

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
