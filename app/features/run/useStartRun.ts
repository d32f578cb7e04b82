import { type Fit, type FitContext, fitAt, type PlanBody, runPlanOf, withTable } from "@tonodrome/core";
import type { ClubEvent, Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useCallback, useEffect, useRef } from "react";
import { createRun } from "~/data/runs/press";
import { askFit } from "~/features/fit/askFit";

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
 * Makes a run of a warm-up as it is fitted now, on this device, and goes to it. What is run keeps every limit: when the
 * press was quicker than the worker, its answer is waited for.
 */
export function useStartRun(): (toRun: ToRun) => void {
  const router = useRouter();
  const callOff = useRef<(() => void) | null>(null);
  useEffect(() => () => callOff.current?.(), []);
  return useCallback(
    ({ start, plan, context, fit, isBest, event }) => {
      // Pressed again meanwhile: one run is enough.
      if (callOff.current) return;
      const begin = (best: Fit) => {
        callOff.current = null;
        const made = runPlanOf(best, start.startsAt, { plan, context, kit: event?.kit ?? [] });
        router.push(`/run/${createRun(start, made)}`);
      };
      if (isBest) {
        begin(fit);
        return;
      }
      const seconds = fit.availableSeconds;
      callOff.current = askFit(
        { kind: "one-time", plan, context, seconds },
        { onAnswer: (table) => begin(fitAt(withTable(plan, context, seconds, table), seconds)) },
      );
    },
    [router],
  );
}
