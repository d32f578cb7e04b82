import { type Fit, type FitContext, fitAt, type PlanBody, runPlanOf, withTable } from "@tonodrome/core";
import type { ClubEvent, Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useCallback, useEffect, useRef, useState } from "react";
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
 * @returns what begins it, and why it could not be begun
 */
export function useStartRun(): { startRun: (toRun: ToRun) => void; failure: string | null } {
  const router = useRouter();
  const [failure, setFailure] = useState<string | null>(null);
  const callOff = useRef<(() => void) | null>(null);
  useEffect(() => () => callOff.current?.(), []);
  const startRun = useCallback(
    ({ start, plan, context, fit, isBest, event }: ToRun) => {
      // Pressed again meanwhile: one run is enough.
      if (callOff.current) return;
      setFailure(null);
      const begin = (best: Fit) => {
        callOff.current = null;
        const made = runPlanOf(best, start.startsAt, {
          plan,
          context,
          conditions: start.setting,
          kit: event?.kit ?? [],
        });
        router.push(`/run/${createRun(start, made)}`);
      };
      if (isBest) {
        begin(fit);
        return;
      }
      const seconds = fit.availableSeconds;
      callOff.current = askFit(
        { kind: "one-time", plan, context, seconds },
        {
          onAnswer: (table) => begin(fitAt(withTable(plan, context, seconds, table), seconds)),
          onFailure: (sentence) => {
            callOff.current = null;
            setFailure(sentence);
          },
        },
      );
    },
    [router],
  );
  return { startRun, failure };
}
