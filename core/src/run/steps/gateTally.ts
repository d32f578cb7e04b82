import type { GateRule } from "../../dose/kinds/gateDistribution";
import type { RunDrill } from "./runPlan";

/** A try at a gate: whether it was a hit. */
export type Try = boolean;

/** How a gate stands, for the side under way. */
export interface GateTally {
  /** Side under way, from 0; as many as there are when all are open. */
  side: number;
  sides: number;
  hits: number;
  misses: number;
  /** Hits that count towards opening it now: all of them, the streak, or those among the last ones. */
  counting: number;
  wanted: number;
  open: boolean;
}

/**
 * Reads the tries at a gate, side after side: a side is over as soon as its gate opens.
 * @param tries in the order they were made
 */
export function gateTally(
  { rule, hits: wanted, sides }: NonNullable<RunDrill["gate"]>,
  tries: readonly Try[],
): GateTally {
  let side = 0;
  let own: Try[] = [];
  for (const hit of tries) {
    if (side === sides) break;
    own.push(hit);
    if (counts(rule, own) < wanted) continue;
    side++;
    if (side < sides) own = [];
  }
  const hits = own.filter(Boolean).length;
  const counting = counts(rule, own);
  return { side, sides, hits, misses: own.length - hits, counting, wanted, open: side === sides };
}

function counts(rule: GateRule, tries: readonly Try[]): number {
  switch (rule.kind) {
    case "total":
      return tries.filter(Boolean).length;
    case "row":
      return tries.length - 1 - tries.lastIndexOf(false);
    case "of":
      return tries.slice(-rule.window).filter(Boolean).length;
  }
}
