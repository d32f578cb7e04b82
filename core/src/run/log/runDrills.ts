import type { Split } from "./state";

/** The steps of one drill of a run together, a ladder's rungs as one, in the order in which they first come; no waits. */
export function runDrills(splits: readonly Split[]): Split[][] {
  const drills = new Map<string, Split[]>();
  for (const split of splits) {
    if (split.drill.wait) continue;
    const of = split.drill.ladderId ?? split.key;
    const steps = drills.get(of);
    if (steps) steps.push(split);
    else drills.set(of, [split]);
  }
  return [...drills.values()];
}
