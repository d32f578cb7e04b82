import type { FitContext, PlanBody } from "@tonodrome/core";
import type { Explanation } from "@tonodrome/core/fitting";
import { useMemo } from "react";
import { useLatestAnswer } from "./useLatestAnswer";

/**
 * What a fit gave up and why, computed in a worker.
 * @returns the last answer until there is one for what is asked now, null before the first; and why there is none
 */
export function useExplanation(
  plan: PlanBody,
  context: FitContext,
  seconds: number,
): { explanation: Explanation | null; failure: string | null } {
  const ask = useMemo(
    () => ({ kind: "explanation" as const, plan, context, seconds }),
    [plan, context, seconds],
  );
  const { answer, failure } = useLatestAnswer(ask);
  return { explanation: answer, failure };
}
