import { useCallback, useLayoutEffect, useRef } from "react";

/**
 * One function for the life of the component that always does what the newest one given would, so that parts which
 * only pass it on need not be drawn again.
 */
export function useStable<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
