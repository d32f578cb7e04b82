import type { Fit, FitContext, PlanBody } from "@tonodrome/core";
import type { ClubEvent, Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useCallback, useEffect, useRef, useState } from "react";
import { askFit } from "~/features/fit/askFit";

/** What is run: a plan as it is fitted, or for a time available. */
export interface ToRun {
  start: Start;
  plan: PlanBody;
  /** The start's own unless given. */
  context?: FitContext;
  /** The fit, where the best is known; whole seconds available where it is still to be computed. */
  fit: Fit | number;
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
    async (toRun: ToRun) => {
      // Pressed again meanwhile: one run is enough.
      if (callOff.current) return;
      let over = false;
      callOff.current = () => {
        over = true;
      };
      setFailure(null);
      const end = (sentence: string | null) => {
        callOff.current = null;
        setFailure(sentence);
      };
      const made = await import("./makeRun").catch(() => null);
      if (over) return;
      if (!made) return end("The run could not be loaded. Try again in a moment.");
      const begin = (fit: Fit) => {
        callOff.current = null;
        router.push(`/run/${made.makeRun(toRun, fit)}`);
      };
      const { fit, plan } = toRun;
      if (typeof fit !== "number") return begin(fit);
      const context = made.contextToRun(toRun);
      callOff.current = askFit(
        { kind: "one-time", plan, context, seconds: fit },
        { onAnswer: (table) => begin(made.fitFrom(table, plan, context, fit)), onFailure: end },
      );
    },
    [router],
  );
  return { startRun, failure };
}
