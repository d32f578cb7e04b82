import type { Fit } from "@tonodrome/core";
import { startTransition, useEffect, useRef, useState } from "react";
import { createStore, type StoreApi, useStore } from "zustand";
import { useAfterPaint } from "~/ui/hooks/useAfterPaint";
import { useStable } from "~/ui/hooks/useStable";

/** A time available, and the plan as it fits that. */
export interface ShownFit {
  /** Minutes before the start. */
  minutes: number;
  fit: Fit;
}

/** What is shown apart from what everything goes by; null where nothing is. */
interface Held {
  /** Painted with the finger. The fit is null where it is not known yet. */
  under: { minutes: number; fit: Fit | null } | null;
  /** Painted when that is on the screen. */
  after: ShownFit | null;
}

/**
 * The time under the finger. Only what shows it follows each move: the number and the rise in the same frame, then the
 * stair and when to begin. Everything else goes by it as soon as the finger rests.
 */
export interface HeldFit {
  store: StoreApi<Held>;
  /** The handle is taken. */
  take: () => void;
  /** The handle is at another time, held or not. */
  move: (minutes: number) => void;
  /** The handle is let go. */
  letGo: () => void;
}

const NOTHING: Held = { under: null, after: null };

/** A finger that stays where it is for so long rests, milliseconds. Custom. */
const RESTS = 300;

/**
 * @param fitFor the fit for so many minutes, where it only has to be looked up; null where it is not known yet. Another
 *   function only where it is of another plan or day
 * @param minutes the time that everything goes by
 * @param settle has everything go by another
 */
export function useHeldFit(
  fitFor: (minutes: number) => Fit | null,
  minutes: number,
  settle: (minutes: number) => void,
): HeldFit {
  const [store] = useState(() => createStore<Held>(() => NOTHING));
  const isHeld = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const settleNow = useStable(() => {
    clearTimeout(timer.current);
    const { under } = store.getState();
    if (under?.minutes === minutes) store.setState(NOTHING);
    else if (under) settle(under.minutes);
  });
  const drawAfter = useAfterPaint(({ minutes: to, fit }: { minutes: number; fit: Fit | null }) => {
    if (!fit || !isHeld.current) {
      settleNow();
      return;
    }
    store.setState({ after: { minutes: to, fit } });
    // Not in the way of the finger, should it move on meanwhile.
    timer.current = setTimeout(() => startTransition(settleNow), RESTS);
  });
  // Once everything goes by it nothing is shown apart; of another plan or day it is looked up anew.
  useEffect(() => {
    const { under, after } = store.getState();
    if (under?.minutes === minutes) store.setState(NOTHING);
    else if (under && after) {
      const fit = fitFor(under.minutes);
      store.setState({ under: { ...under, fit }, after: fit && { ...under, fit } });
    }
  }, [store, minutes, fitFor]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return {
    store,
    take: useStable(() => {
      isHeld.current = true;
    }),
    move: useStable((to: number) => {
      clearTimeout(timer.current);
      const under = { minutes: to, fit: isHeld.current ? fitFor(to) : null };
      store.setState({ under });
      drawAfter(under);
    }),
    letGo: useStable(() => {
      isHeld.current = false;
      if (store.getState().after) settleNow();
    }),
  };
}

/** What is painted with the finger: the time under it and its fit, else what everything goes by. */
export function useFitUnder({ store }: HeldFit, settled: ShownFit): ShownFit {
  const under = useStore(store, (held) => held.under);
  return under ? { minutes: under.minutes, fit: under.fit ?? settled.fit } : settled;
}

/** What is painted right after the finger: the fit of the time under it, else what everything goes by. */
export function useFitAfter({ store }: HeldFit, settled: ShownFit): Fit {
  return (useStore(store, (held) => held.after) ?? settled).fit;
}
