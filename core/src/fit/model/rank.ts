/**
 * A stretch of the high part of worth, as of the digits of a number: how many units of it there are, what is above not
 * counted. The worths of all drills together never carry from one rank into the next (see worth.ts).
 */
export interface Rank {
  unit: number;
  /** The unit of the rank above; Infinity for the first. */
  above: number;
}

/** All of the high part. */
export const WHOLE: Rank = { unit: 1, above: Infinity };

/** How much of a rank there is in a (high) worth. */
export function amountOf({ unit, above }: Rank, high: number): number {
  return Math.floor((above === Infinity ? high : high % above) / unit);
}

/** A worth down to a rank, what is below left away. */
export function downTo({ unit }: Rank, high: number): number {
  return high - (high % unit);
}

/** @param units of ranks, the most important first */
export function ranksOf(units: readonly number[]): Rank[] {
  return units.map((unit, r) => ({ unit, above: units[r - 1] ?? Infinity }));
}
