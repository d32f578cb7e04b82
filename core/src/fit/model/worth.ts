import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { PlanItem } from "../../plan/plan";

/** Points a drill collects on its way from floor to ideal, and again from ideal to ceiling. */
const POINTS = 60;

/** The worth of doing drills at levels: two whole numbers, the low one compared only when the high ones are equal. */
export interface Worth {
  high: number;
  low: number;
}

/** What each level of each drill is worth, and a wait that is not too long. */
export interface Worths {
  /** One row per item, in plan order: `rows[i][k]` is the worth of `levelsOf(items[i].dose)[k]`. */
  rows: Worth[][];
  /** What a wait no longer than the longest tolerated is worth; goes to `high`. */
  wait: number;
  /** The units of the ranks of `high`, the most important first: see rank.ts. */
  units: number[];
}

/**
 * The worth of every level of every drill of a plan.
 *
 * The order it stands for, most important first (docs/fit.md gives the reasons): essential kit kept (nothing after it
 * can be done without it), essential drills kept, a wait that is not too long, levels of essential kit up to their ideal
 * (nobody laces faster because time is short), those of other essentials, useful drills kept, their levels, extra drills kept (all of this in `high`); then the levels of extras, growth
 * beyond the ideal, then the ties: what is nearest the start, then the easier work (in `low`).
 *
 * Each rank weighs more than everything below it can add up to, so plain sums compare in strict order. With at most
 * 90 drills the sums stay below 2^53 and are exact (tested for every mix of priorities).
 */
export function worthOf(items: readonly PlanItem[]): Worths {
  const { essential, useful, wait, units } = highWeights(items);
  const mostTies = POINTS * (items.length * 4 + 3) * items.length;
  const beyondPoint = mostTies + 1;
  const extraPoint = beyondPoint * (POINTS * items.length + 1);
  const rows = items.map((item, index) => {
    const ideal = idealLevel(item.dose);
    const levels = levelsOf(item.dose);
    const tie = (index + 1) * 4 + Math.floor((100 - item.intensity) / 33.4);
    return levels.map((_, k): Worth => {
      const points = k >= ideal ? POINTS : share(k, ideal);
      const beyond = k <= ideal ? 0 : share(k - ideal, levels.length - 1 - ideal);
      const low = beyond * beyondPoint + tie * Math.max(1, points);
      if (item.priority === "extra") return { high: 1, low: low + points * extraPoint };
      const { kept, keptKit, point, kitPoint } = item.priority === "essential" ? essential : useful;
      const isKit = item.phase === "kit";
      return { high: (isKit ? keptKit : kept) + (isKit ? kitPoint : point) * points, low };
    });
  });
  return { rows, wait, units };
}

/** Points for `k` of `all` equal steps. Strictly rising while `all` is at most 60. */
function share(k: number, all: number): number {
  return Math.round((POINTS * k) / all);
}

/** Worth of keeping a drill, of keeping a kit change, and of one point towards the ideal of each. */
interface RankWeight {
  kept: number;
  keptKit: number;
  point: number;
  kitPoint: number;
}

function highWeights(items: readonly PlanItem[]): {
  essential: RankWeight;
  useful: RankWeight;
  wait: number;
  units: number[];
} {
  const count = (priority: PlanItem["priority"]) => items.filter((i) => i.priority === priority).length;
  const below = count("extra");
  const many = count("useful");
  const usefulPoint = below + 1;
  const usefulKept = usefulPoint * (POINTS * many + 1);
  const useful = { kept: usefulKept, keptKit: usefulKept, point: usefulPoint, kitPoint: usefulPoint };

  const essentials = count("essential");
  const point = below + many * (usefulKept + POINTS * usefulPoint) + 1;
  const kits = items.filter((i) => i.priority === "essential" && i.phase === "kit").length;
  const kitPoint = point * (POINTS * (essentials - kits) + 1);
  const wait = kitPoint * (POINTS * kits + 1);
  const kept = 2 * wait;
  // Essentials kept and the wait, points of essential kit, of other essentials, useful kept, useful points, extras kept.
  const units = [wait, kitPoint, point, usefulKept, usefulPoint, 1].filter(
    (u, i, all) => all.indexOf(u) === i,
  );
  return { essential: { kept, keptKit: kept * (essentials + 1), point, kitPoint }, useful, wait, units };
}
