import type { Opening } from "./openings";
import type { FitDrill, FitProblem } from "./problem";

/** All the time there is. */
const WHOLE_DAY: Opening[] = [{ from: -Infinity, to: 0, turns: 1, whole: true }];

/** What a bound may take for granted of when a drill is done. */
export interface DrillOpenings {
  /** Whether its place in the order is known: where the order is free, when each is done says nothing of the others. */
  ordered: boolean;
  /** The stretches in which it can be done, wherever the next one is. */
  openings: Opening[];
  /** The latest end that holds whatever comes after, from the start; 0 or below. Of each level. */
  deadlines: number[];
}

/** When each drill can be done at all, for bounds: never less than there is. */
export function drillOpeningsOf({ drills, blocks, openings }: FitProblem): DrillOpenings[] {
  const ordered = new Set(blocks.filter((p) => p.to - p.from === 1).map((p) => p.from));
  return drills.map((drill, i) => {
    if (!ordered.has(i)) return { ordered: false, openings: WHOLE_DAY, deadlines: drill.costs.map(() => 0) };
    return {
      ordered: true,
      openings: openFor(openings, drill),
      deadlines: drill.costs.map((c) => c.deadline),
    };
  });
}

function openFor(openings: FitProblem["openings"], { place, calm, wholePlace }: FitDrill): Opening[] {
  const all = (place >= 0 ? openings.there[place] : openings.anywhere.at(-1))?.[calm ? 1 : 0] ?? [];
  return wholePlace ? all.filter((s) => s.whole) : all;
}
