import type { FitContext, PlanBody } from "@tonodrome/core";
import type { Explanation } from "@tonodrome/core/fitting";
import { useEffect, useRef, useState } from "react";
import { askFit } from "./askFit";

interface Wanted {
  plan: PlanBody;
  context: FitContext;
  seconds: number;
}

/**
 * What a fit gave up and why, reckoned in a worker: one at a time, and always the latest that is wanted next, so that a
 * slider or a clock never keeps it from answering.
 * @returns the last answer until there is one for what is asked now, null before the first; and why there is none
 */
export function useExplanation(
  plan: PlanBody,
  context: FitContext,
  seconds: number,
): { explanation: Explanation | null; failure: string | null } {
  const [explanation, setExplanation] = useState<Explanation | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const wanted = useRef<Wanted | null>(null);
  const callOff = useRef<(() => void) | null>(null);
  useEffect(() => {
    wanted.current = { plan, context, seconds };
    if (!callOff.current) askNext();

    function askNext() {
      const asked = wanted.current;
      if (!asked) return;
      callOff.current = askFit(
        { kind: "explanation", ...asked },
        {
          onAnswer: (answer) => {
            callOff.current = null;
            setExplanation(answer);
            setFailure(null);
            if (wanted.current !== asked) askNext();
          },
          onFailure: (sentence) => {
            callOff.current = null;
            setFailure(sentence);
            if (wanted.current !== asked) askNext();
          },
        },
      );
    }
  }, [plan, context, seconds]);
  useEffect(
    () => () => {
      wanted.current = null;
      callOff.current?.();
      callOff.current = null;
    },
    [],
  );
  return { explanation, failure };
}
