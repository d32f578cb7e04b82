import { z } from "zod";
import type { Fault } from "../words/fault";
import { faultsIn } from "../words/fault";
import { CHECKS } from "./list";
import type { Check } from "./terms/check";

/** Figures of checks that a club has of its own, by check and figure; the others are as they are by default. */
export type ClubFigures = Readonly<Record<string, Readonly<Record<string, number>>>>;

/** The same as it is sent and kept. */
export const clubFiguresSchema = z
  .record(z.string().max(60), z.record(z.string().max(40), z.number({ error: "Give a number." })))
  .check(faultsIn(figureFaults));

/** Names of checks and figures that there are none of, and numbers that cannot be. */
function figureFaults(figures: ClubFigures): Fault[] {
  return Object.entries(figures).flatMap(([code, own]) => {
    const check = CHECKS.find((c) => c.code === code);
    if (!check) return [{ path: [code], message: "There is no such check." }];
    return Object.entries(own).flatMap(([key, value]): Fault[] => {
      const figure = check.figures[key];
      if (!figure) return [{ path: [code, key], message: "This check has no such figure." }];
      const { least, most, unit } = figure;
      return value >= least && value <= most && Number.isInteger(value)
        ? []
        : [{ path: [code, key], message: `A whole number from ${least} to ${most} ${unit}.` }];
    });
  });
}

/** The figures of a check that are in force in a club. */
export function figuresOf(
  { code, figures }: Pick<Check, "code" | "figures">,
  club: ClubFigures,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(figures).map(([key, { value }]) => [key, club[code]?.[key] ?? value]),
  );
}
