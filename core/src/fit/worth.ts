import { idealLevel, levelsOf } from "../dose/levelsOf";
import type { PlanItem } from "../plan/plan";
import { PRIORITIES, type Priority } from "../plan/priority";

/** Points a drill collects on its way from floor to ideal, and again from ideal to ceiling. */
const POINTS = 60;

/** The worth of doing drills at levels: two whole numbers, the low one compared only when the high ones are equal. */
export interface Worth {
  high: number;
  low: number;
}

/**
 * The worth of every level of every drill of a plan.
 *
 * The order it stands for, most important first (docs/fit.md gives the reasons): essential kit kept (nothing
 * after it can be done without it), essential drills kept, essential levels up to their ideal, then the same for useful and for extra drills (all of this in `high`); then growth beyond
 * the ideal, then the ties: what is nearest the start, then the easier work (in `low`).
 *
 * Each rank weighs more than everything below it can add up to, so plain sums compare in strict order. With at most
 * 90 drills (39 essential kit, 26 useful, 25 extra is the worst case, 5.4e15) the sums stay below 2^53 and are exact.
 * @returns one row per item, in plan order: `row[k]` is the worth of `levelsOf(item.dose)[k]`
 */
export function worthOf(items: readonly PlanItem[]): Worth[][] {
  const weights = rankWeights(items);
  const mostTies = POINTS * (items.length * 4 + 3) * items.length;
  return items.map((item, index) => {
    const ideal = idealLevel(item.dose);
    const levels = levelsOf(item.dose);
    const { kept, keptKit, point } = weights[item.priority];
    const tie = (index + 1) * 4 + Math.floor((100 - item.intensity) / 33.4);
    return levels.map((_, k) => {
      const points = k >= ideal ? POINTS : share(k, ideal);
      const beyond = k <= ideal ? 0 : share(k - ideal, levels.length - 1 - ideal);
      return {
        high: (item.phase === "kit" && item.priority === "essential" ? keptKit : kept) + point * points,
        low: beyond * (mostTies + 1) + tie * Math.max(1, points),
      };
    });
  });
}

/** Points for `k` of `all` equal steps. Strictly rising while `all` is at most 60. */
function share(k: number, all: number): number {
  return Math.round((POINTS * k) / all);
}

interface RankWeight {
  /** Worth of keeping one drill at all: more than every drill of this priority raised to its ideal. */
  kept: number;
  /** The same for a kit change: more than every other drill of this priority. */
  keptKit: number;
  /** Worth of one point towards the ideal: more than all lower priorities together. */
  point: number;
}

function rankWeights(items: readonly PlanItem[]): Record<Priority, RankWeight> {
  const weights = {} as Record<Priority, RankWeight>;
  let below = 0;
  for (const priority of [...PRIORITIES].reverse()) {
    const these = items.filter((i) => i.priority === priority);
    const many = these.length;
    const kits = these.filter((i) => i.phase === "kit").length;
    const point = below + 1;
    const kept = point * (POINTS * many + 1);
    const keptKit = kept * (many + 1);
    weights[priority] = { kept, keptKit, point };
    below += kits * keptKit + (many - kits) * kept + many * point * POINTS;
  }
  return weights;
}
