import type { RunState, Split } from "../log/state";

/**
 * Fixed points still to come that a jump to a step would pass by, in order.
 * @param points names of the day's fixed points: a wait for one bears its name
 */
export function passedPoints({ splits, index }: RunState, to: Split, points: readonly string[]): string[] {
  return splits
    .slice(Math.max(0, index), Math.max(0, splits.indexOf(to)))
    .filter(({ drill, outcome }) => drill.wait && outcome !== "done" && points.includes(drill.name))
    .map(({ drill }) => drill.name);
}
