import type { RunPlan, RunState } from "@tonodrome/core";
import type { Refit } from "@tonodrome/core/fitting";
import { useEffect, useRef, useState } from "react";
import { timeNow } from "~/data/client/clock";
import { askFit } from "~/features/fit/askFit";
import type { RunSettings } from "~/features/run/device/runSettings";

/** What the rest of a run could be, and what it answers. */
export interface RefitOffer {
  /** What brought it about, so that it is told from the next one. */
  key: string;
  refit: Refit;
  /** What brought it about. */
  reason: string;
}

/** The start has to move by so much before that alone is a reason, milliseconds. */
const MOVED = 20_000;

/**
 * Why the rest should be fitted anew; null when it should not. Being ahead or behind counts in steps of what the coach
 * wishes, so that what was turned down comes again only when it has become worse.
 */
export function refitReason(
  state: Pick<RunState, "status" | "startsAt" | "fittedFor">,
  ahead: number,
  refitMinutes: number,
): { key: string; words: string } | null {
  if (state.status === "ended" || state.status === "ready") return null;
  const by = state.startsAt - state.fittedFor;
  if (Math.abs(by) >= MOVED) {
    const minutes = Math.round(Math.abs(by) / 60_000);
    return {
      key: `start ${state.startsAt}`,
      words: `The start is ${minutes > 0 ? `${minutes} min` : "a little"} ${by > 0 ? "later" : "earlier"}`,
    };
  }
  if (refitMinutes === 0 || state.status !== "under-way") return null;
  const steps = Math.trunc(ahead / (refitMinutes * 60));
  if (steps === 0) return null;
  const minutes = Math.floor(Math.abs(ahead) / 60);
  return { key: `pace ${steps}`, words: `${minutes} min ${ahead > 0 ? "ahead" : "behind"}` };
}

/**
 * Nothing to change is nothing to offer, unless what is essential no longer fits. Whoever is ahead or behind sees so; only
 * other drills are worth a word more. When the start moves, so are other waits.
 */
export function isWorthOffering(
  { line, state, changesDrills }: Pick<Refit, "line" | "state" | "changesDrills">,
  key: string,
): boolean {
  return state === "short" || changesDrills || (line !== "" && key.startsWith("start"));
}

/** Has the rest of a run fitted anew when the day changes, away from the page, and offers what comes of it. */
export function useRefit(
  plan: RunPlan,
  state: RunState,
  ahead: number,
  settings: RunSettings,
): { offer: RefitOffer | null; leave: () => void } {
  const [offer, setOffer] = useState<(RefitOffer & { index: number }) | null>(null);
  const left = useRef(new Set<string>());
  const reason = refitReason(state, ahead, settings.refitMinutes);
  const key = reason && plan.source ? reason.key : null;
  const latest = useRef({ state, reason });
  latest.current = { state, reason };
  const { index } = state;
  useEffect(() => {
    if (key === null || left.current.has(key)) {
      setOffer(null);
      return;
    }
    const words = latest.current.reason?.words ?? "";
    return askFit(
      { kind: "refit", run: plan, state: latest.current.state, now: timeNow() },
      {
        onAnswer: (refit) => {
          if (!refit || !isWorthOffering(refit, key)) setOffer(null);
          else setOffer({ refit, reason: words, key, index });
        },
      },
    );
  }, [key, index, plan]);
  return {
    offer: offer && offer.key === key && offer.index === index ? offer : null,
    leave: () => {
      if (key) left.current.add(key);
      setOffer(null);
    },
  };
}
