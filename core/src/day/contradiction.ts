import type { DayConstraint } from "./constraint";

/** Constraints that cannot hold together, as few as there are, and by how much they miss it. */
export interface DayContradiction {
  constraints: DayConstraint[];
  /** So many seconds would have to give. */
  missingSeconds: number;
}

/**
 * The smallest set of constraints that cannot hold together: the shortest way round on which more time is asked for than
 * there is. Of two as short the one that misses by more.
 * @returns null where everything can hold together
 */
export function contradictionOf(
  constraints: readonly DayConstraint[],
  many: number,
): DayContradiction | null {
  let best: DayContradiction | null = null;
  for (let from = 0; from < many; from++) {
    const found = wayRound(constraints, many, from, best?.constraints.length ?? many);
    if (!found) continue;
    const isBetter =
      !best ||
      found.constraints.length < best.constraints.length ||
      (found.constraints.length === best.constraints.length && found.missingSeconds > best.missingSeconds);
    if (isBetter) best = found;
  }
  return best;
}

/**
 * The shortest way from a step round to itself that grows. @param longest of at most so many constraints
 */
function wayRound(
  constraints: readonly DayConstraint[],
  many: number,
  from: number,
  longest: number,
): DayContradiction | null {
  // The most seconds to each step by exactly so many constraints, and the last of them.
  let at = new Float64Array(many).fill(Number.NEGATIVE_INFINITY);
  at[from] = 0;
  const last: Int32Array[] = [];
  for (let length = 1; length <= longest; length++) {
    const next = new Float64Array(many).fill(Number.NEGATIVE_INFINITY);
    const by = new Int32Array(many);
    constraints.forEach(({ earlier, later, leastSeconds }, i) => {
      const seconds = (at[earlier] as number) + leastSeconds;
      if (seconds <= (next[later] as number)) return;
      next[later] = seconds;
      by[later] = i;
    });
    last.push(by);
    at = next;
    if ((at[from] as number) <= 0) continue;
    const way: DayConstraint[] = [];
    for (let n = length - 1, step = from; n >= 0; n--) {
      const c = constraints[last[n]?.[step] as number] as DayConstraint;
      way.unshift(c);
      step = c.earlier;
    }
    return { constraints: way, missingSeconds: at[from] as number };
  }
  return null;
}
