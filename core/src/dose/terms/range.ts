import { z } from "zod";

/** The least worth doing, the wanted and the most sensible amount of one countable thing. Whole numbers. */
export interface Range {
  floor: number;
  ideal: number;
  ceiling: number;
}

/** Schema of a range whose three numbers lie between `least` and `most`, in order. */
export function rangeSchema(least: number, most: number, what: string) {
  const amount = z
    .number({ error: `Give ${what} as a whole number.` })
    .int({ error: `Give ${what} as a whole number.` })
    .min(least, { error: `At least ${least} ${what}.` })
    .max(most, { error: `At most ${most} ${what}.` });
  return z
    .strictObject({ floor: amount, ideal: amount, ceiling: amount })
    .refine((r) => r.floor <= r.ideal, {
      path: ["floor"],
      error: `The floor of ${what} may not be above the ideal.`,
    })
    .refine((r) => r.ideal <= r.ceiling, {
      path: ["ceiling"],
      error: `The ceiling of ${what} may not be below the ideal.`,
    });
}

/** Every whole step from floor to ceiling, with the ideal always among them, ascending. */
export function stepsOf(range: Range, step: number): number[] {
  const steps: number[] = [];
  for (let v = range.floor; v < range.ideal; v += step) steps.push(v);
  for (let v = range.ideal; v < range.ceiling; v += step) steps.push(v);
  steps.push(range.ceiling);
  return steps;
}
