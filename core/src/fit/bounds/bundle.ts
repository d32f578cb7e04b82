/**
 * What is known of a convex function from one point: that it lies nowhere below `height + slope · x`.
 */
export interface Cut {
  height: number;
  slope: readonly number[];
}

/** Where the next point is looked for between the lowest value known and the lowest that the cuts allow: 0 to 1. */
const LEVEL = 0.3;
/** So near the lowest value that it is good enough, as a share of it. */
const NEAR = 1e-7;

/**
 * Looks for the lowest value of a convex function of points none of whose figures is below 0, by the level bundle method
 * (Lemaréchal, Nemirovskii, Nesterov 1995): the next point is the one nearest the best so far at which the cuts do not
 * forbid a value well below it. Need not find the lowest: every point is a good one to ask about.
 * @param ask the value at a point, and its cut there
 * @param scale what counts as far in each figure
 * @param most points asked for
 */
export function lowered(
  ask: (point: readonly number[]) => { value: number; cut: Cut },
  scale: readonly number[],
  most: number,
): void {
  const cuts: Cut[] = [];
  let best = scale.map(() => 0);
  let lowest = Infinity;
  let point: readonly number[] = best;
  for (let n = 0; n < most; n++) {
    const { value, cut } = ask(point);
    cuts.push({ height: cut.height, slope: cut.slope.map((s, k) => s / (scale[k] as number)) });
    if (value < lowest) {
      lowest = value;
      best = point.map((v, k) => v * (scale[k] as number));
    }
    const floor = lowestAllowed(cuts, best, lowest);
    if (lowest - floor <= NEAR * Math.abs(lowest)) return;
    point = nearest(cuts, best, floor + LEVEL * (lowest - floor)).map((v, k) => v / (scale[k] as number));
  }
}

/** How often what is not known is halved, and how often a point is moved. */
const HALVINGS = 26;
const MOVES = 400;

/** The lowest value that the cuts allow, found by halving. */
function lowestAllowed(cuts: readonly Cut[], from: readonly number[], highest: number): number {
  let low = Math.min(0, highest);
  let high = highest;
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    const point = nearest(cuts, from, middle);
    const slack = Math.abs(middle) * 1e-9;
    if (cuts.every((c) => heightAt(c, point) <= middle + slack)) high = middle;
    else low = middle;
  }
  return high;
}

function heightAt({ height, slope }: Cut, point: readonly number[]): number {
  let value = height;
  for (let k = 0; k < point.length; k++) value += (slope[k] as number) * (point[k] as number);
  return value;
}

/**
 * A point near another at which no cut is above a level, as far as there is one: by projecting on the cut that is furthest
 * above, again and again.
 */
function nearest(cuts: readonly Cut[], from: readonly number[], level: number): number[] {
  const point = [...from];
  const lengths = cuts.map(({ slope }) => Math.hypot(...slope));
  for (let n = 0; n < MOVES; n++) {
    let furthest = Math.abs(level) * 1e-10;
    let worst = -1;
    for (let c = 0; c < cuts.length; c++) {
      const length = lengths[c] as number;
      if (length === 0) continue;
      const above = (heightAt(cuts[c] as Cut, point) - level) / length;
      if (above <= furthest) continue;
      furthest = above;
      worst = c;
    }
    if (worst < 0) break;
    const { slope } = cuts[worst] as Cut;
    const by = furthest / (lengths[worst] as number);
    for (let k = 0; k < point.length; k++)
      point[k] = Math.max(0, (point[k] as number) - by * (slope[k] as number));
  }
  return point;
}
