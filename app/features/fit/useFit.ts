import { type Fit, type FitContext, type FitProfile, fitAt, type PlanBody, withTable } from "@tonodrome/core";
import { useEffect, useMemo, useState } from "react";
import { askFit } from "./askFit";
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
  /** False while limits on totals are still being reckoned with: the fit passes one of them. */
  isBest: boolean;
}

interface EveryTime {
  plan: PlanBody;
  context: FitContext;
  profile: FitProfile | null;
}

/**
 * The fit for a time available: for this one alone at first, while every time is reckoned in a worker, so that the slider
 * only looks it up after that.
 */
export function useFit({ plan, context, availableSeconds, horizonSeconds }: FitWanted): FitNow {
  const [found, setFound] = useState<EveryTime | null>(null);
  useEffect(
    () =>
      askFit(
        { kind: "every-time", plan, context, horizonSeconds },
        {
          onAnswer: (table) => {
            const profile = table && withTable(plan, context, horizonSeconds, table);
            setFound({ plan, context, profile });
          },
        },
      ),
    [plan, context, horizonSeconds],
  );
  const everyTime = found?.plan === plan && found.context === context ? found.profile : null;
  const { profile, isBest } = useFitAt(plan, context, availableSeconds, everyTime);
  const fit = useMemo(() => fitAt(profile, availableSeconds), [profile, availableSeconds]);
  return { fit, isBest };
}
