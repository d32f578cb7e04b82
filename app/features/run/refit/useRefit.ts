import { isWorthOffering, type RunPlan, type RunState, refitReason } from "@tonodrome/core";
import type { Refit } from "@tonodrome/core/fitting";
import type { ShelfContent } from "@tonodrome/core/judge";
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

const NO_DRILLS: readonly ShelfContent[] = [];

/** Has the rest of a run fitted anew when the day changes, away from the page, and offers what comes of it. */
export function useRefit(
  plan: RunPlan,
  state: RunState,
  ahead: number,
  settings: RunSettings,
  /** Drills of the shelf that a top-up may be made of, besides the plan's own. */
  drills: readonly ShelfContent[] = NO_DRILLS,
): { offer: RefitOffer | null; failure: string | null; leave: () => void } {
  const [offer, setOffer] = useState<(RefitOffer & { index: number }) | null>(null);
  const [failed, setFailed] = useState<{ key: string; sentence: string } | null>(null);
  const left = useRef(new Set<string>());
  const reason = refitReason(state, ahead, settings.refitMinutes);
  const key = reason && plan.source ? reason.key : null;
  const latest = useRef({ state, reason, drills });
  latest.current = { state, reason, drills };
  const { index } = state;
  useEffect(() => {
    if (key === null || left.current.has(key)) {
      setOffer(null);
      return;
    }
    const words = latest.current.reason?.words ?? "";
    return askFit(
      {
        kind: "refit",
        run: plan,
        state: latest.current.state,
        now: timeNow(),
        drills: latest.current.drills,
      },
      {
        onAnswer: (refit) => {
          if (!refit || !isWorthOffering(refit, key)) setOffer(null);
          else setOffer({ refit, reason: words, key, index });
        },
        onFailure: (sentence) => setFailed({ key, sentence }),
      },
    );
  }, [key, index, plan]);
  return {
    offer: offer && offer.key === key && offer.index === index ? offer : null,
    failure: failed && failed.key === key ? failed.sentence : null,
    leave: () => {
      if (key) left.current.add(key);
      setOffer(null);
    },
  };
}
