import { figureListSchema } from "../plan/ownFigure";
import { type Fault, faultsIn } from "../words/fault";
import { CHECKS } from "./list";
import type { ClubFigures } from "./terms/figures";

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
