import { type Fit, type FitContext, fitPlan, type PlanBody, runPlanOf } from "@tonodrome/core";
import type { ClubEvent, Start } from "@tonodrome/core/api";
import { createRun } from "~/data/runStore";

interface ToRun {
  start: Start;
  plan: PlanBody;
  context: FitContext;
  fit: Fit;
  /** False while limits on totals are still being reckoned with. */
  isBest: boolean;
  event: ClubEvent | null;
}

/**
 * Makes a run of a warm-up as it is fitted now, on this device.
 * @returns its id
 */
export function startRun({ start, plan, context, fit, isBest, event }: ToRun): string {
  // What is run keeps every limit, even when the press was quicker than the worker.
  const best = isBest ? fit : fitPlan(plan, fit.availableSeconds, context);
  return createRun(start, runPlanOf(best, start.startsAt, { plan, context, kit: event?.kit ?? [] }));
}
