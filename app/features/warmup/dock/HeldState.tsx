import type { JudgeInput } from "@tonodrome/core/judge";
import { useMemo, useRef } from "react";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { StatePress } from "~/features/judge/JudgementLine";
import { type HeldFit, type ShownFit, useFitAfter } from "~/features/warmup/model/useHeldFit";

export interface HeldStateProps {
  held: HeldFit;
  settled: ShownFit;
  /** What it is forecast by, besides the fit. */
  input: Pick<JudgeInput, "setting" | "athlete" | "before">;
  /** What is said of what everything goes by; null while that is not known. Its line is null where nothing is done. */
  judgement: { line: string | null } | null;
  onPress: () => void;
}

const NOTHING = [] as const;

/** The state at the start for the time that is shown: it follows the finger, one question to the worker at a time. */
export function HeldState({ held, settled, input, judgement, onPress }: HeldStateProps) {
  const fit = useFitAfter(held, settled);
  const isApart = fit !== settled.fit;
  const { setting, athlete, before = NOTHING } = input;
  const ask = useMemo(
    () => (isApart ? { kind: "state" as const, fit, conditions: setting, training: athlete, before } : null),
    [isApart, fit, setting, athlete, before],
  );
  const { answer, to } = useLatestAnswer(ask);
  // What was answered the last time that something was held says nothing of now.
  const old = useRef(to);
  // It stands until what everything goes by is judged: what was judged before is of another time.
  const apart = useRef<{ state: string | null; judgement: object | null } | null>(null);
  if (isApart && to !== old.current) apart.current = { state: answer, judgement };
  else if (apart.current?.judgement !== judgement) apart.current = null;
  if (!isApart) old.current = to;
  const state = apart.current ? apart.current.state : (judgement?.line ?? null);
  return <StatePress line={fit.workSeconds > 0 ? state : null} onPress={onPress} />;
}
