import { PARAMETER_NAMES, PARAMETERS, type Parameter, type Person } from "./parameters";

/** Where the range lies in the distribution. */
const LOW = 0.1;
const HIGH = 0.9;

/** So many people the band is made of. */
export const PEOPLE = 64;

/** One prime for every figure: the square roots are as unlike as numbers can be. */
const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47];

/**
 * The people that the band is made of: points of an additive low-discrepancy sequence (steps by the square roots of the
 * primes), so that the same input always gives the same band.
 */
export const people: readonly Person[] = Array.from({ length: PEOPLE }, (_, n) => personAt(n));

function personAt(n: number): Person {
  return Object.fromEntries(
    PARAMETER_NAMES.map((name, j) => {
      const share = (0.5 + (n + 1) * Math.sqrt(PRIMES[j] as number)) % 1;
      return [name, valueAt(PARAMETERS[name], share)];
    }),
  ) as Person;
}

/**
 * The value below which a share of people lie: straight lines through the 10th percentile, the middle and the 90th, and
 * on to either end, so that no figure ever turns negative.
 * @param share from 0 to 1
 */
export function valueAt(
  { low, middle, high }: Pick<Parameter, "low" | "middle" | "high">,
  share: number,
): number {
  return share < 0.5
    ? middle - ((middle - low) * (0.5 - share)) / (0.5 - LOW)
    : middle + ((high - middle) * (share - 0.5)) / (HIGH - 0.5);
}
