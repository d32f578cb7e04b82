/** Figures of the ages that coaches tell apart. */
export type AgeFigures = {
  /** Under 10; where it is left out, as from 10 to 12. */
  under10?: number;
  /** From 10 to 12. */
  under13: number;
  /** From 13 to 15. */
  under16: number;
};

/** The figure of an age. @param age years; null for an adult, or where it is not known @param older from 16 on */
export function byAge(age: number | null, figures: AgeFigures, older: number): number {
  const { under13, under16, under10 = under13 } = figures;
  if (age === null || age >= 16) return older;
  return age >= 13 ? under16 : age >= 10 ? under13 : under10;
}
