import { coverageOf } from "../plan/coverage";
import { MOST_GAP, MOST_GAPS, type PlanBody } from "../plan/plan";
import { cutText } from "../words/cutText";
import { listOf } from "../words/listOf";
import { wordKey } from "../words/sameWord";
import { type Frame, frameOf } from "./assemble/frame";
import { firstParts } from "./assemble/parts";
import type { FillInput } from "./input/fillInput";
import { improved } from "./seek/improve";

/** What filling comes to. */
export interface Filled {
  body: PlanBody;
  /** What the shelf could not give, in sentences. */
  gaps: string[];
}

/** How much is tried. */
export interface FillEffort {
  /** Plans that are fitted and judged at most, the first among them; a first good one alone is 1. */
  tries?: number;
}

/** Plans that are tried unless said otherwise, of long ones fewer: about a second's work. Custom. */
const TRIES = 40;

/**
 * A warm-up from the shelf in the way of an approach, each drill with the reason it was chosen: a first plan, part by part,
 * and from there the one with the fewest and least grave findings, as it fits the time and the day. The same input and effort
 * always give the same plan; another seed gives other drills of the same purpose where the shelf has them.
 */
export function fillPlan(input: FillInput, { tries = TRIES }: FillEffort = {}): Filled {
  const gaps: string[] = [];
  const frame = frameOf(input, gaps);
  const first = firstParts(frame, gaps);
  const body = improved(frame, first, tries);
  const known = [...new Set([...gaps, ...leftCold(frame, body)])];
  return { body: withGaps(body, known), gaps: known };
}

/** What could not be given stays with the plan. */
function withGaps(body: PlanBody, gaps: readonly string[]): PlanBody {
  if (!body.origin || gaps.length === 0) return body;
  const kept = gaps.slice(0, MOST_GAPS).map((gap) => cutText(gap, MOST_GAP));
  return { ...body, origin: { ...body.origin, gaps: kept } };
}

/** What of the event the plan leaves cold, and whether the shelf could do better with more time. */
function leftCold({ input, choices, stillWarm }: Frame, { items }: PlanBody): string[] {
  const { event } = input;
  if (!event) return [];
  const { actions, areas, sides } = coverageOf(items, event);
  const cold = actions.filter((a) => a.by.length === 0 && !stillWarm.has(wordKey(a.what))).map((a) => a.what);
  const [possible, not] = [true, false].map((is) =>
    cold.filter((action) => choices.some((c) => c.actions.includes(wordKey(action))) === is),
  ) as [string[], string[]];
  const still = areas.filter((a) => a.by.length === 0).map((a) => a.what);
  const isOneSided = items.length > 0 && sides.every((s) => s.by.length === 0);
  return [
    ...not.map((action) => `Nothing on the shelf prepares ${action}: it is left cold.`),
    ...(possible.length > 0
      ? [`In this time ${listOf(possible)} cannot be prepared as it should be: left cold.`]
      : []),
    ...(still.length > 0 ? [`Nothing warms ${listOf(still)}.`] : []),
    ...(isOneSided ? ["Nothing is done on each side: one side may stay cold."] : []),
  ];
}
