import type { Fit } from "@tonodrome/core";
import { startTransition, useEffect, useRef, useState } from "react";
import { createStore, type StoreApi, useStore } from "zustand";
import { useStable } from "~/ui/hooks/useStable";

/** A time available, and the plan as it fits that. */
export interface ShownFit {
  /** Minutes before the start. */
  minutes: number;
  fit: Fit;
}

/**
 * The time under the finger. Only what shows it follows each move: the handle, the rise, the stair and when to begin.
 * Everything else goes by it as soon as the finger rests.
 */
export interface HeldFit {
  /** Null while nothing is shown apart. */
  store: StoreApi<{ shown: ShownFit | null }>;
  /** The handle is taken. */
  take: () => void;
  /** The handle is at another time, held or not. */
  move: (minutes: number) => void;
  /** The handle is let go. */
  letGo: () => void;
}

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
  const [store] = useState(() => createStore<{ shown: ShownFit | null }>(() => ({ shown: null })));
  const isHeld = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const settleNow = useStable(() => {
    clearTimeout(timer.current);
    const { shown } = store.getState();
    if (shown?.minutes === minutes) store.setState({ shown: null });
    // Not in the way of the finger, should it move on meanwhile.
    else if (shown) startTransition(() => settle(shown.minutes));
  });
  // Once everything goes by it nothing is shown apart; of another plan or day it is looked up anew.
  useEffect(() => {
    const { shown } = store.getState();
    if (!shown) return;
    const fit = shown.minutes === minutes ? null : fitFor(shown.minutes);
    store.setState({ shown: fit && { ...shown, fit } });
  }, [store, minutes, fitFor]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return {
    store,
    take: useStable(() => {
      isHeld.current = true;
    }),
    move: useStable((to: number) => {
      const fit = isHeld.current ? fitFor(to) : null;
      clearTimeout(timer.current);
      if (!fit) {
        store.setState({ shown: null });
        settle(to);
        return;
      }
      store.setState({ shown: { minutes: to, fit } });
      timer.current = setTimeout(settleNow, RESTS);
    }),
    letGo: useStable(() => {
      isHeld.current = false;
      settleNow();
    }),
  };
}

/** What is shown of a fit: what is under the finger, else what everything goes by. */
export function useShownFit({ store }: HeldFit, settled: ShownFit): ShownFit {
  return useStore(store, ({ shown }) => shown) ?? settled;
}
