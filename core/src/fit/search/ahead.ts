import type { FitProblem } from "../model/problem";

/** What the drills still to come can add at least and at most to each cap, and at most to general work and to rest owed. */
export interface Ahead {
  least: number[];
  most: number[];
  general: number;
  owes: number;
}

/** What can still be added by the drills before each index, from none of them to all. */
export function aheadsOf({ drills, caps }: FitProblem): Ahead[] {
  let ahead: Ahead = { least: caps.map(() => 0), most: caps.map(() => 0), general: 0, owes: 0 };
  const aheads = [ahead];
  for (const { costs, general } of drills) {
    const { least, most } = ahead;
    ahead = {
      least: least.map((sum, k) => sum + costs.reduce((low, c) => Math.min(low, c.uses[k] as number), 0)),
      most: most.map((sum, k) => sum + costs.reduce((top, c) => Math.max(top, c.uses[k] as number), 0)),
      general: ahead.general + (general ? costs.reduce((top, c) => Math.max(top, c.seconds), 0) : 0),
      owes: ahead.owes + costs.reduce((top, c) => Math.max(top, c.owes), 0),
    };
    aheads.push(ahead);
  }
  return aheads;
}
