import type { OwnFigure } from "../../plan/ownFigure";

/** A figure that a check goes by, and that a club can change. */
export interface Figure {
  value: number;
  unit: string;
  least: number;
  most: number;
  /** What it is, as the club's page has it. */
  words: string;
}

/** The figures of one check as they are in force. */
export type Figures<F extends Record<string, Figure>> = { readonly [K in keyof F]: number };

/** Figures of checks that a club has of its own; the others are as they are by default. */
export type ClubFigures = readonly OwnFigure[];

/** The figures of a check that are in force in a club; of one that is named twice the later. */
export function figuresOf(
  { code, figures }: { code: string; figures: Record<string, Figure> },
  club: ClubFigures,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(figures).map(([key, { value }]) => [
      key,
      club.findLast((own) => own.check === code && own.figure === key)?.value ?? value,
    ]),
  );
}
