import { levelsOf as everyLevel, idealLevel } from "../dose/levelsOf";
import type { PlanBody, PlanItem } from "../plan/plan";

const known = new WeakMap<object, ReturnType<typeof everyLevel>>();

function levelsOf(dose: PlanItem["dose"]) {
  const levels = known.get(dose) ?? everyLevel(dose);
  known.set(dose, levels);
  return levels;
}

/** One way of doing a plan: per drill a level index, or −1. */
export type Way = number[];

/**
 * The oracle of the fit's tests: tries every way there is and compares them by a tuple, sharing neither the packed
 * worth nor the table with the solver.
 */
export function bruteForce(
  plan: PlanBody,
  fromSeconds: number,
  toSeconds: number,
): { way: Way; rank: number[] } | null {
  let best: { way: Way; rank: number[] } | null = null;
  for (const way of ways(plan.items)) {
    if (!mayBeDone(plan, way)) continue;
    const seconds = workOf(plan, way);
    if (seconds < fromSeconds || seconds > toSeconds) continue;
    const rank = [...rankOf(plan, way), -seconds];
    if (!best || compare(rank, best.rank) > 0) best = { way, rank };
  }
  return best;
}

function* ways(items: readonly PlanItem[]): Generator<Way> {
  const [first, ...others] = items;
  if (!first) {
    yield [];
    return;
  }
  for (const rest of ways(others)) {
    for (let k = -1; k < levelsOf(first.dose).length; k++) yield [k, ...rest];
  }
}

export function workOf(plan: PlanBody, way: Way): number {
  return plan.items.reduce((sum, item, i) => sum + (levelsOf(item.dose)[way[i] as number]?.seconds ?? 0), 0);
}

/** The step rule, read off the efforts of what is kept, rung by rung. */
export function mayBeDone(plan: PlanBody, way: Way): boolean {
  const climb = plan.items.flatMap((item, i) => {
    const level = way[i] as number;
    if (item.phase !== "technical" || level < 0) return [];
    if (item.dose.kind !== "ladder") return [item.intensity];
    const climbed = levelsOf(item.dose)[level]?.counts[0]?.amount ?? 0;
    return item.dose.rungs.slice(0, climbed).map((r) => r.intensity);
  });
  return climb.every((effort, i) => i === 0 || effort - (climb[i - 1] as number) <= plan.stepPoints);
}

/** Essential kit kept, essential kept, essential points, useful …, extra …, beyond the ideal, ties: greater is better, first to last. */
export function rankOf(plan: PlanBody, way: Way): number[] {
  const rank = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  plan.items.forEach((item, i) => {
    const level = way[i] as number;
    if (level < 0) return;
    const at = { essential: 1, useful: 3, extra: 5 }[item.priority];
    const ideal = idealLevel(item.dose);
    const last = levelsOf(item.dose).length - 1;
    const points = level >= ideal ? 60 : Math.round((60 * level) / ideal);
    if (item.phase === "kit" && item.priority === "essential") rank[0] = (rank[0] as number) + 1;
    rank[at] = (rank[at] as number) + 1;
    rank[at + 1] = (rank[at + 1] as number) + points;
    if (level > ideal) rank[7] = (rank[7] as number) + Math.round((60 * (level - ideal)) / (last - ideal));
    const easier = item.intensity < 33.4 ? 2 : item.intensity < 66.7 ? 1 : 0;
    rank[8] = (rank[8] as number) + ((i + 1) * 4 + easier) * Math.max(1, points);
  });
  return rank;
}

export function compare(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((v, i) => v !== b[i]);
  return at < 0 ? 0 : (a[at] as number) - (b[at] as number);
}
