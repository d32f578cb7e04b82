import type { FitProblem } from "../model/problem";
import type { State } from "../model/state";

/** Up to which efforts the climb may be entered, by what may lead up to it, rising; one list for the drills before each block. */
export type Reaches = readonly (readonly number[])[];

/** The reaches of a problem's blocks. */
export function reachesOf({ drills, blocks, stepPoints }: FitProblem): Reaches {
  const known = new Set<number>();
  let sorted: readonly number[] = [];
  return blocks.map(({ from, to }) => {
    const before = sorted;
    for (const { leads, costs } of drills.slice(from, to))
      if (leads) for (const cost of costs) known.add(cost.to + stepPoints);
    if (known.size > sorted.length) sorted = [...known].sort((a, b) => a - b);
    return before;
  });
}

/** An entry that nothing leads up to. */
const OUT_OF_REACH = 1000;

/**
 * Where the climb is entered, as far as it matters to what is before it: entries that the same drills lead up to are one, and
 * one that everything leads up to is none.
 * @param reached effort that a warm-up under way has reached; −1 where there is none
 */
export function entryIn(
  { entry, coldFrom }: Pick<State, "entry" | "coldFrom">,
  reaches: readonly number[],
  { reached, stepPoints }: Pick<FitProblem, "reached" | "stepPoints">,
): Pick<State, "entry" | "coldFrom"> {
  const base = reached >= 0 ? reached : coldFrom;
  const bare = base >= 0 ? base + stepPoints : Infinity;
  if (entry <= Math.min(bare, reaches[0] ?? Infinity)) return { entry: -1, coldFrom: -1 };
  const near = reaches.find((reach) => reach >= entry) ?? OUT_OF_REACH;
  return { entry: bare >= entry ? Math.min(bare, near) : near, coldFrom };
}
