import {
  contextOf,
  type Fit,
  type FitContext,
  fitAt,
  type PlanBody,
  runPlanOf,
  withTable,
} from "@tonodrome/core";
import type { ProfileTable } from "@tonodrome/core/fitting";
import { createRun } from "~/data/runs/press";
import type { ToRun } from "./useStartRun";

/** The day in which something is run: the start's own unless another is given. */
export const contextToRun = ({ start, context }: ToRun): FitContext => context ?? contextOf(start);

/** The best fit that a worker found. */
export const fitFrom = (table: ProfileTable, plan: PlanBody, context: FitContext, seconds: number): Fit =>
  fitAt(withTable(plan, context, seconds, table), seconds);

/** Makes a run of a fit on this device. @returns its id */
export function makeRun(toRun: ToRun, fit: Fit): string {
  const { start, plan, event } = toRun;
  const context = contextToRun(toRun);
  const made = runPlanOf(fit, start.startsAt, {
    ...{ plan, context, conditions: start.setting },
    ...{ kit: event?.kit ?? [], group: start.group },
  });
  return createRun(start, made);
}
