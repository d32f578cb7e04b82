/** Whether everything is tried, as `npm run test:long` does; otherwise a sample, always the same one. */
export const IS_LONG = process.env.TONODROME_TESTS === "long";

/** `npm test` tries one generated case in so many, custom: each property in a second or two. */
const ONE_IN = 8;
/** And at least so many, unless each takes long. */
const LEAST = 12;
const SEED = 20_261_202;

/** So many of the long proofs' cases are tried: all of them, or the sample. A list of mutants says with RUNS how many are enough. */
export function casesOf(full: number, least = LEAST): number {
  const many = IS_LONG ? full : Math.min(full, Math.max(least, Math.ceil(full / ONE_IN)));
  return process.env.RUNS ? Math.min(full, Number(process.env.RUNS)) : many;
}

/**
 * How fast-check tries a property.
 * @param full the cases of the long proofs
 */
export const cases = (full: number, least?: number) => ({
  numRuns: casesOf(full, least),
  ...(IS_LONG ? {} : { seed: SEED }),
});

/** All of a list, or one in so many of it. @param oneIn no divisor of how the list repeats itself: all kinds are met */
export const sampleOf = <T>(list: readonly T[], oneIn: number): T[] =>
  list.filter((_, i) => IS_LONG || i % oneIn === 0);
