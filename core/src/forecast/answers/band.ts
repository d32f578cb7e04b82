/** What a quantity comes to for people in general: the middle one of them, and between what most of them lie. */
export interface Band {
  /** The 10th percentile, the median and the 90th. */
  low: number;
  middle: number;
  high: number;
}

/** The band of what it comes to for each person. @param values one or more, in any order */
export function bandOf(values: readonly number[]): Band {
  const sorted = Float64Array.from(values).sort();
  return { low: quantile(sorted, 0.1), middle: quantile(sorted, 0.5), high: quantile(sorted, 0.9) };
}

function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1);
  const below = sorted[Math.floor(at)] ?? 0;
  const above = sorted[Math.ceil(at)] ?? below;
  return below + (above - below) * (at - Math.floor(at));
}
