/** What the chart tells those who draw upon it: its size and the values of its lines. */
export interface Given {
  width: number;
  height: number;
  paddingTop: number;
  data: readonly { data: readonly number[] }[];
}

/** The share of its height that the chart plots in: the rest is for labels, which stand outside of it here. */
export const PLOT_SHARE = 0.75;

/**
 * Returns where the chart puts things, in pixels, so that what is drawn upon it stands where its lines do. This is the one
 * place that knows how the chart computes: from nothing up to its highest value, its points evenly spaced.
 * @returns `x` of a point by its index, which may lie between two; `y` of a value
 */
export function plotOf({ width, height, paddingTop, data }: Given) {
  const highest = Math.max(...data.flatMap((line) => line.data));
  const points = data[0]?.data.length ?? 1;
  return {
    x: (index: number) => (index * width) / points,
    y: (value: number) => (height - (height * value) / highest) * PLOT_SHARE + paddingTop,
  };
}
