import type { PlanBody } from "../plan/plan";
import type { FitContext } from "../venue/context";
import { problemOf } from "./model/problemOf";
import { essentialNeeds } from "./needs";

/** The wait gives way by so much at a time, seconds. Custom: nobody waits four minutes and seven seconds. */
const WAIT_STEP = 60;

/** A shorter wait, and the times available for which it is the longest that leaves room for the essentials. */
export interface ShorterWait {
  wait: number;
  from: number;
  below: number;
}

/** The plan with another least wait, which gives way no further. */
export function withLeastWait(plan: PlanBody, leastSeconds: number): PlanBody {
  if (plan.wait.leastSeconds === leastSeconds) return plan;
  return { ...plan, wait: { ...plan.wait, leastSeconds, shortestSeconds: leastSeconds } };
}

/** Waits shorter than the least, the longest first, down to the shortest that the plan allows. */
function stepsDown({ wait: { leastSeconds, shortestSeconds = leastSeconds } }: PlanBody): number[] {
  const steps: number[] = [];
  for (let wait = leastSeconds - WAIT_STEP; wait > shortestSeconds; wait -= WAIT_STEP) steps.push(wait);
  return shortestSeconds < leastSeconds ? [...steps, shortestSeconds] : [];
}

const needsWith = (plan: PlanBody, context: FitContext, wait: number) =>
  essentialNeeds(problemOf(withLeastWait(plan, wait), context));

/**
 * The waits that a plan is fitted with where its essentials do not fit with the least one: each for the times in which no
 * longer one leaves room for them, the last of them for all below as well. None where no wait makes them fit.
 */
export function shorterWaits(plan: PlanBody, context: FitContext): ShorterWait[] {
  const waits = stepsDown(plan);
  if (waits.length === 0) return [];
  let below = needsWith(plan, context, plan.wait.leastSeconds);
  const found: ShorterWait[] = [];
  for (const wait of waits) {
    const from = needsWith(plan, context, wait);
    if (!Number.isFinite(from)) continue;
    found.push({ wait, from, below });
    below = from;
  }
  return found;
}

/** The plan with the longest wait that leaves room for its essentials in so much time, or else the shortest there may be. */
export function waitWithin(plan: PlanBody, context: FitContext, availableSeconds: number): PlanBody {
  const [first, ...others] = shorterWaits(plan, context);
  if (!first || availableSeconds >= first.below) return plan;
  const enough = [first, ...others].find((w) => availableSeconds >= w.from);
  return withLeastWait(plan, (enough ?? others.at(-1) ?? first).wait);
}
