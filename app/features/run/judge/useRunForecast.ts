import type { RunForecast, RunPlan, RunState } from "@tonodrome/core";
import { MINUTE_MS } from "@tonodrome/core";
import { useMemo, useRef } from "react";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";

/** What the forecast says of a run, minute by minute and with every press; null while it is not known or not asked. */
export function useRunForecast(plan: RunPlan, state: RunState, now: number): RunForecast | null {
  const latest = useRef({ state, now });
  latest.current = { state, now };
  const asked = state.status === "waiting" || state.status === "ready";
  const key = [state.status, state.index, state.startsAt, Math.floor(now / MINUTE_MS)].join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew by the minute, not with every tick.
  const ask = useMemo(
    () => (asked ? { kind: "run-forecast" as const, plan, ...latest.current } : null),
    [asked, key, plan],
  );
  return useLatestAnswer(ask).answer;
}
