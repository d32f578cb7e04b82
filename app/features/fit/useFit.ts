import { type Fit, type FitContext, type FitProfile, fitAt, type PlanBody, withTable } from "@tonodrome/core";
import { useCallback, useEffect, useMemo, useState } from "react";
import { askFit } from "./askFit";
import { useEachTime } from "./useEachTime";
import { useFitAt } from "./useFitAt";

/** Longest time the slider offers for an ordinary start, minutes. */
export const SLIDER_MINUTES = 90;

interface FitWanted {
  plan: PlanBody;
  context: FitContext;
  /** Whole seconds. */
  availableSeconds: number;
  /** The longest time that may be asked for, seconds. */
  horizonSeconds: number;
}

interface FitNow {
  fit: Fit;
  /** False until limits on totals are applied: the fit passes one of them. */
  isBest: boolean;
  /** How far the worker is with this one time, or else with every time, from 0 to 1; null while there is nothing to tell. */
  progress: number | null;
  /** Why the best is not known, in a sentence; null when it is, or is on its way. */
  failure: string | null;
  /** The best fit for another time, whole seconds, where it has only to be looked up; null where it is not known yet. */
  fitFor: (seconds: number) => Fit | null;
}

interface EveryTime {
  plan: PlanBody;
  context: FitContext;
  profile: FitProfile | null;
}

/**
 * The fit for a time available: for this one alone at first, while every time is computed in a worker, so that the slider
 * only looks it up after that. Where all at once would take too long, they are computed one by one.
 */
export function useFit({ plan, context, availableSeconds, horizonSeconds }: FitWanted): FitNow {
  const [found, setFound] = useState<EveryTime | null>(null);
  const [everyProgress, setEveryProgress] = useState<number | null>(null);
  useEffect(() => {
    const callOff = askFit(
      { kind: "every-time", plan, context, horizonSeconds },
      {
        onProgress: setEveryProgress,
        onAnswer: (table) => {
          const profile = table && withTable(plan, context, horizonSeconds, table);
          setFound({ plan, context, profile });
          setEveryProgress(null);
        },
        // The times one by one may still be had.
        onFailure: () => setFound({ plan, context, profile: null }),
      },
    );
    return () => {
      callOff();
      setEveryProgress(null);
    };
  }, [plan, context, horizonSeconds]);
  const isFound = found?.plan === plan && found.context === context;
  const isGivenUp = isFound && found.profile === null;
  const each = useEachTime(plan, context, isGivenUp ? horizonSeconds : null, availableSeconds);
  const profileForAll = isFound ? found.profile : null;
  const { at } = each;
  const lookUp = useCallback((seconds: number) => profileForAll ?? at(seconds), [profileForAll, at]);
  const everyTime = lookUp(availableSeconds);
  const { profile, isBest, progress, failure } = useFitAt(plan, context, availableSeconds, everyTime);
  const fit = useMemo(() => fitAt(profile, availableSeconds), [profile, availableSeconds]);
  const fitFor = useCallback(
    (seconds: number) => {
      const known = lookUp(seconds);
      return known && fitAt(known, seconds);
    },
    [lookUp],
  );
  return { fit, isBest, progress: isBest ? (everyProgress ?? each.progress) : progress, failure, fitFor };
}
