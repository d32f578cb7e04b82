import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import type { PlanItem } from "../../plan/plan";

/** Points of a drill at its ideal, and the most that growth beyond it is worth. */
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
 * The order it stands for, most important first (docs/fit.md gives the reasons): the first essential drill that raises kept
 * (it outweighs one change of kit and all other essentials), essential kit kept (nothing after it can be done without it),
 * essential drills kept, a wait that is not too long, levels of essential kit up to their ideal
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
  const ways = items.map(({ dose }) => {
    const levels = levelsOf(dose);
    const ideal = idealLevel(dose);
    return [wayOf(levels, 0, ideal), wayOf(levels, ideal, levels.length - 1)] as const;
  });
  const longest = Math.max(0, ...ways.map(([way]) => way.seconds));
  const longestGrowth = Math.max(0, ...ways.map(([, growth]) => growth.seconds));
  const firstRaise = items.findIndex(isEssentialRaise);
  const rows = items.map((item, index) => {
    const ideal = idealLevel(item.dose);
    const levels = levelsOf(item.dose);
    const tie = (index + 1) * 4 + Math.floor((100 - item.intensity) / 33.4);
    const isRaise = index === firstRaise;
    const [way, growth] = ways[index] as readonly [Way, Way];
    const whole = pointsOf(way, longest);
    const all = pointsOf(growth, longestGrowth);
    return levels.map((_, k): Worth => {
      const points = k >= ideal ? POINTS : POINTS - whole + gained(k, way, whole);
      const beyond = k <= ideal ? 0 : gained(k - ideal, growth, all);
      const low = beyond * beyondPoint + tie * Math.max(1, points);
      if (item.priority === "extra") return { high: 1, low: low + points * extraPoint };
      const { kept, keptKit, keptRaise, point, kitPoint } =
        item.priority === "essential" ? essential : useful;
      const isKit = item.phase === "kit";
      const being = isRaise ? keptRaise : isKit ? keptKit : kept;
      return { high: being + (isKit ? kitPoint : point) * points, low };
    });
  });
  return { rows, wait, units };
}

/** So many steps, which take so many seconds more from the first to the last. */
interface Way {
  steps: number;
  seconds: number;
}

/** The way from a drill's floor to its ideal, or from there to its ceiling. */
function wayOf(levels: readonly DoseLevel[], from: number, to: number): Way {
  return { steps: to - from, seconds: (levels[to]?.seconds ?? 0) - (levels[from]?.seconds ?? 0) };
}

/** What all of a way is worth: 60 points for the longest of a plan, and in proportion, but a point a step at least. */
function pointsOf({ steps, seconds }: Way, longest: number): number {
  return Math.max(steps, Math.round((POINTS * seconds) / Math.max(1, longest)));
}

/**
 * Points for the first `k` steps of a way worth `all`: one for each, and the rest by the square of what is still missing,
 * so that the first steps are worth most and the last least. Strictly rising. Custom: so what is lost is spread in
 * proportion, because a step more is worth most to the drill that has the smallest part of its own way.
 */
function gained(k: number, { steps }: Way, all: number): number {
  return steps === 0 ? all : k + Math.round((all - steps) * (1 - (1 - k / steps) ** 2));
}

/** What warms: the last to go of all that is essential. */
const isEssentialRaise = ({ phase, priority, calm }: PlanItem) =>
  phase === "raise" && priority === "essential" && !calm;

/** Worth of keeping a drill, of keeping a kit change, and of one point towards the ideal of each. */
interface RankWeight {
  kept: number;
  keptKit: number;
  /** Worth of keeping the first essential drill that raises. */
  keptRaise: number;
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
  const useful = {
    kept: usefulKept,
    keptKit: usefulKept,
    keptRaise: usefulKept,
    point: usefulPoint,
    kitPoint: usefulPoint,
  };

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
  // The first that raises outweighs a change of kit and all other essentials together.
  const keptRaise = kept * (2 * essentials + 1);
  return {
    essential: { kept, keptKit: kept * (essentials + 1), keptRaise, point, kitPoint },
    useful,
    wait,
    units,
  };
}
