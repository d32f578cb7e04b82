import { buildFitTable, type Fit, type FitTable, fitAt, type PlanBody } from "@tonodrome/core";
import { useMemo } from "react";

/** Longest time the slider offers for an ordinary start, minutes. */
export const SLIDER_MINUTES = 90;

/** The table of best plans, made once per plan; moving the slider only reads it. */
export function useFitTable(body: PlanBody, horizonSeconds: number): FitTable {
  return useMemo(() => buildFitTable(body, horizonSeconds), [body, horizonSeconds]);
}

/** The fit for a time available, in whole seconds. */
export function useFit(table: FitTable, availableSeconds: number): Fit {
  return useMemo(() => fitAt(table, availableSeconds), [table, availableSeconds]);
}
