import { type Fit, type FitContext, type FitProfile, fitAt, type PlanBody, profileAt } from "@tonodrome/core";
import { useEffect, useMemo, useState } from "react";
import { askProfile } from "./askProfile";

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

export interface FitNow {
  fit: Fit;
  /** Every time available; null while it is reckoned. */
  profile: FitProfile | null;
  /** How far that is, from 0 to 1. */
  share: number;
}

/**
 * The fit for a time available. The first one of a plan is reckoned here, for its time alone, because there is nothing
 * to show before; every other time is reckoned in a worker meanwhile, so that the slider only looks it up.
 */
export function useFit({ plan, context, availableSeconds, horizonSeconds }: FitWanted): FitNow {
  const [found, setFound] = useState<{ profile: FitProfile; plan: PlanBody; context: FitContext } | null>(
    null,
  );
  const [share, setShare] = useState(0);
  useEffect(() => {
    setShare(0);
    return askProfile({ plan, context, horizonSeconds }, setShare, (profile) =>
      setFound({ profile, plan, context }),
    );
  }, [plan, context, horizonSeconds]);
  const profile = found?.plan === plan && found.context === context ? found.profile : null;
  const fit = useMemo(
    () => fitAt(profile ?? profileAt(plan, context, availableSeconds), availableSeconds),
    [profile, plan, context, availableSeconds],
  );
  return { fit, profile, share };
}
