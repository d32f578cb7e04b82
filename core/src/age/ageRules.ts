import { youngestOf } from "../athlete/profile";

/*
 * What a coach does otherwise because of an age. All of it is coaches' custom; the rules of the governing body come first.
 * Checks show the figures of `USUAL_BY_AGE`, and a club may have its own. An age is in years, null where it is not known: then
 * the athlete counts as an adult.
 */

/** Figures of the ages that coaches tell apart. */
export type AgeFigures = {
  /** Under 10; where it is left out, as from 10 to 12. */
  under10?: number;
  /** From 10 to 12. */
  under13: number;
  /** From 13 to 15. */
  under16: number;
};

const [TEN, THIRTEEN, SIXTEEN] = [youngestOf("10-12"), youngestOf("13-15"), youngestOf("16-18")];

/** Returns the figure of an age. @param older from 16 on */
export function byAge(age: number | null, figures: AgeFigures, older: number): number {
  const { under13, under16, under10 = under13 } = figures;
  if (age === null || age >= SIXTEEN) return older;
  return age >= THIRTEEN ? under16 : age >= TEN ? under13 : under10;
}

/** What holds at an age unless a club has figures of its own. */
export const USUAL_BY_AGE = {
  /** Hardest effort, per cent. */
  hardest: { under10: 70, under13: 80, under16: 90, older: 100 },
  /** Most repetitions of one of the sport's own drills, or of one rung. */
  repetitionsOfOne: { under10: 6, under13: 8, under16: 12, older: Number.POSITIVE_INFINITY },
  /** Most explosive repetitions of a warm-up. */
  explosiveRepetitions: { under13: 6, under16: 10, older: 15 },
  /** Age below which nothing is loaded, lifted or explosive, years. */
  childUnder: TEN,
} as const;

/** A child's warm-up is ten minutes of play at the most, seconds. */
export const CHILD_LONGEST_SECONDS = 600;

/** Age from which a top-up has an effort near competition, years. */
const EFFORT_IN_TOP_UP_FROM = TEN;

/** Returns whether a top-up may have an effort near competition. */
export const mayTopUpWithEffort = (age: number | null): boolean =>
  age === null || age >= EFFORT_IN_TOP_UP_FROM;

/** From this age bodies warm more slowly, years. */
const MASTERS_FROM = youngestOf("masters");

/** Returns whether a body warms more slowly because of its age: see `MASTERS`. */
export const isMaster = (age: number | null): boolean => age !== null && age >= MASTERS_FROM;

/** For masters the raise is half as long again, and steps are smaller (points). */
export const MASTERS = { raiseTimes: 1.5, stepPoints: 15 } as const;
