import { contextOf, type Fit, type FitContext, MINUTE_MS, type PlanBody } from "@tonodrome/core";
import { LONGEST_AVAILABLE_SECONDS, type Start } from "@tonodrome/core/api";
import type { Explanation } from "@tonodrome/core/fitting";
import { useCallback, useMemo, useState } from "react";
import { useNowNear } from "~/data/client/useNow";
import { useSaveStart } from "~/data/resources/starts";
import { useExplanation } from "~/features/fit/useExplanation";
import { SLIDER_MINUTES, useFit } from "~/features/fit/useFit";
import { useStable } from "~/ui/hooks/useStable";
import { type HeldFit, useHeldFit } from "./useHeldFit";

/** A plan fitted to a start, and the time it is fitted to. */
export interface StartFit {
  /** What the day allows. */
  context: FitContext;
  fit: Fit;
  /** False until limits on totals are applied. */
  isBest: boolean;
  /** How far the worker is with it, or else with every other time, from 0 to 1; null while there is nothing to tell. */
  progress: number | null;
  /** What it gave up and why; of the fit before until there is one of this, null before the first. */
  explanation: Explanation | null;
  /** Why the best fit, or what was given up, is not known, in a sentence. */
  fitFailure: string | null;
  whyFailure: string | null;
  /** What is under the finger. */
  held: HeldFit;
  /** Seconds until the start: every second where the time is running short, else every minute. */
  untilStart: number;
  /** Time available, minutes, as the slider has it. */
  minutes: number;
  mostMinutes: number;
  isCapped: boolean;
  /** Whether the time available is another than the one that is saved. */
  newMinutes: boolean;
  saving: boolean;
  /** Why the time available could not be saved. */
  failure: string | null;
  setMinutes: (minutes: number) => void;
}

/** Fits a plan to the time before a start: the time that is saved, or another that is tried. */
export function useStartFit(
  start: Start,
  plan: PlanBody,
  mayBuild: boolean,
): StartFit & { saveMinutes: () => void } {
  const saveStart = useSaveStart();
  const [wanted, setMinutes] = useState<number | null>(null);
  const startsAt = Date.parse(start.startsAt);
  const saved = Math.round((startsAt - Date.parse(start.readyAt)) / 60_000);
  const minutes = wanted ?? saved;
  const mostMinutes = Math.max(SLIDER_MINUTES, saved);
  // Every second counts only once there is less time than was chosen.
  const shortFrom = startsAt - minutes * MINUTE_MS;
  const now = useNowNear((at) => (at > shortFrom && at < startsAt ? [at] : [shortFrom, startsAt]));
  const untilStart = Math.floor((startsAt - now) / 1000);
  const isCapped = untilStart > 0 && untilStart < minutes * 60;
  const context = useMemo(() => contextOf(start), [start]);
  const {
    fit,
    isBest,
    progress,
    failure: fitFailure,
    fitFor,
  } = useFit({
    plan,
    context,
    availableSeconds: isCapped ? untilStart : minutes * 60,
    horizonSeconds: mostMinutes * 60 + 300,
  });
  const held = useHeldFit(
    useCallback(
      (to: number) => fitFor(untilStart > 0 ? Math.min(untilStart, to * 60) : to * 60),
      [fitFor, untilStart],
    ),
    minutes,
    setMinutes,
  );
  const { explanation, failure: whyFailure } = useExplanation(plan, context, fit.availableSeconds);
  return {
    context,
    fit,
    isBest,
    progress,
    explanation,
    fitFailure,
    whyFailure,
    held,
    untilStart,
    minutes,
    mostMinutes,
    isCapped,
    newMinutes: mayBuild && wanted !== null && wanted !== saved,
    saving: saveStart.isPending,
    failure: saveStart.error?.message ?? null,
    setMinutes,
    saveMinutes: useStable(() => {
      if (wanted === null || wanted === saved) return;
      const readyAt = new Date(
        startsAt - Math.min(wanted * 60, LONGEST_AVAILABLE_SECONDS) * 1000,
      ).toISOString();
      saveStart.mutate({ start, changes: { readyAt } }, { onSuccess: () => setMinutes(null) });
    }),
  };
}
