import type { DayConstraint } from "./constraint";

/**
 * When each step may begin, seconds from the start: no earlier and no later than this; null where nothing says so.
 * `binding` is the constraint that keeps it from beginning later.
 */
export interface StepTimes {
  earliest: number | null;
  latest: number | null;
  binding: DayConstraint | null;
}

/**
 * The earliest and latest beginnings of every step, by longest paths from and to the start (Dechter, Meiri and Pearl,
 * Temporal constraint networks, Artificial Intelligence 49, 1991).
 * @param many how many steps there are
 * @param start the place of the start
 * @returns null where the constraints cannot hold together
 */
export function timesOf(
  constraints: readonly DayConstraint[],
  many: number,
  start: number,
): StepTimes[] | null {
  const earliest = new Float64Array(many).fill(Number.NEGATIVE_INFINITY);
  const before = new Float64Array(many).fill(Number.NEGATIVE_INFINITY);
  const binding: (DayConstraint | null)[] = Array.from({ length: many }, () => null);
  earliest[start] = 0;
  before[start] = 0;
  for (let round = 0; ; round++) {
    let changed = raise(earliest, constraints);
    // Most of them stand in the order of the day: backwards it is soon through.
    for (let i = constraints.length - 1; i >= 0; i--) {
      const c = constraints[i] as DayConstraint;
      const { earlier, later, leastSeconds } = c;
      const back = (before[later] as number) + leastSeconds;
      if (back > (before[earlier] as number)) {
        before[earlier] = back;
        binding[earlier] = c;
        changed = true;
      }
    }
    if (!changed) break;
    // Longest paths have fewer edges than there are steps, unless one goes round and grows.
    if (round >= many) return null;
  }
  if (growsAside(constraints, many)) return null;
  const known = (seconds: number) => (Number.isFinite(seconds) ? seconds : null);
  return Array.from({ length: many }, (_, i) => {
    const latest = known(before[i] as number);
    return {
      earliest: known(earliest[i] as number),
      latest: latest === null ? null : 0 - latest,
      binding: i === start ? null : (binding[i] ?? null),
    };
  });
}

/** Moves each beginning on as far as those before it ask for, once. @returns whether any moved */
function raise(begins: Float64Array, constraints: readonly DayConstraint[]): boolean {
  let changed = false;
  for (const { earlier, later, leastSeconds } of constraints) {
    const forth = (begins[earlier] as number) + leastSeconds;
    if (forth <= (begins[later] as number)) continue;
    begins[later] = forth;
    changed = true;
  }
  return changed;
}

/** Whether something that the start has no part in cannot hold together. */
function growsAside(constraints: readonly DayConstraint[], many: number): boolean {
  const begins = new Float64Array(many);
  for (let round = 0; round <= many; round++) if (!raise(begins, constraints)) return false;
  return true;
}
