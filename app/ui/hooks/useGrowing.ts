import { useEffect, useState } from "react";

/** The browser's own word for having nothing better to do; a moment later where it has none. */
const whenIdle = (act: () => void): (() => void) => {
  if (typeof requestIdleCallback === "undefined") {
    const timer = setTimeout(act, 1);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(act, { timeout: 500 });
  return () => cancelIdleCallback(asked);
};

/**
 * How many rows of a list are drawn: those that are seen at once, and one more each time the browser is idle, so that a
 * long list never keeps what is looked at waiting.
 * @param atOnce so many are in sight to begin with
 */
export function useGrowing(length: number, atOnce: number): number {
  const [shown, setShown] = useState(atOnce);
  const isAll = shown >= length;
  // biome-ignore lint/correctness/useExhaustiveDependencies: each that is drawn asks for the next
  useEffect(() => {
    if (isAll) return;
    return whenIdle(() => setShown((n) => n + 1));
  }, [isAll, shown]);
  return Math.min(shown, length);
}
