import {
  type FitContext,
  type FitProfile,
  MINUTE_SECONDS,
  type PlanBody,
  quickProfileAt,
  withTable,
} from "@tonodrome/core";
import { useEffect, useMemo, useState } from "react";
import { askFit } from "./askFit";

/** A profile that holds for a time available. */
export interface ProfileNow {
  profile: FitProfile;
  /** False until limits on totals are applied: the plan passes one of them. */
  isBest: boolean;
  /** How far those are, from 0 to 1; null while there is nothing to tell. */
  progress: number | null;
  /** Why the best is not known, in a sentence; null when it is, or is on its way. */
  failure: string | null;
}

/** A time counting down is asked for only once a minute: a plan that begins within the minute below holds too. */

interface Answered {
  plan: PlanBody;
  context: FitContext;
  seconds: number;
  profile: FitProfile;
}

/**
 * The best plan for one time available. It is computed here, quickly, because there is nothing to show before; where that
 * passes a limit on totals a worker is asked for the best that does not.
 * @param everyTime spares both when it is known already
 */
export function useFitAt(
  plan: PlanBody,
  context: FitContext,
  availableSeconds: number,
  everyTime: FitProfile | null = null,
): ProfileNow {
  const [answered, setAnswered] = useState<Answered | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [failed, setFailed] = useState<{ plan: PlanBody; seconds: number; sentence: string } | null>(null);
  const quick = useMemo(
    () => (everyTime ? null : quickProfileAt(plan, context, availableSeconds)),
    [everyTime, plan, context, availableSeconds],
  );
  const seconds = availableSeconds - (availableSeconds % MINUTE_SECONDS);
  const passes = quick !== null && !quick.isBest;
  const isKnown =
    answered?.plan === plan && answered.context === context && answered.seconds === seconds && passes;
  const asks = passes && !isKnown;
  useEffect(() => {
    if (!asks) return;
    const callOff = askFit(
      { kind: "one-time", plan, context, seconds },
      {
        onProgress: setProgress,
        onAnswer: (table) =>
          setAnswered({ plan, context, seconds, profile: withTable(plan, context, seconds, table) }),
        onFailure: (sentence) => setFailed({ plan, seconds, sentence }),
      },
    );
    return () => {
      callOff();
      setProgress(null);
    };
  }, [asks, plan, context, seconds]);
  if (isKnown) return { profile: answered.profile, isBest: true, progress: null, failure: null };
  return {
    profile: everyTime ?? (quick as { profile: FitProfile }).profile,
    isBest: !asks,
    progress,
    failure: asks && failed?.plan === plan && failed.seconds === seconds ? failed.sentence : null,
  };
}
