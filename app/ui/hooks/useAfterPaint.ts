import { useCallback, useRef } from "react";
import { afterPaint } from "~/ui/afterPaint";
import { useStable } from "./useStable";

/**
 * Tells of a value one frame later: what is under the finger is painted first, and whatever is slow to draw comes when
 * that is on the screen. Of several values in one frame only the last is told.
 */
export function useAfterPaint<T>(tell: (value: T) => void): (value: T) => void {
  const waiting = useRef<{ value: T } | null>(null);
  const latest = useStable(tell);
  return useCallback(
    (value: T) => {
      const isFirst = waiting.current === null;
      waiting.current = { value };
      if (!isFirst) return;
      afterPaint(() => {
        const last = waiting.current;
        waiting.current = null;
        if (last) latest(last.value);
      });
    },
    [latest],
  );
}
