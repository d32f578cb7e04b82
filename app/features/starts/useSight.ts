import type { Start } from "@tonodrome/core/api";
import { useEffect } from "react";
import { forgetSight, keepSight } from "~/data/device/sight";
import { useStable } from "~/ui/hooks/useStable";

/** The end of an instant's day where the device is, milliseconds since the epoch. */
const endOfDay = (at: number) => new Date(at).setHours(24, 0, 0, 0);

/**
 * What is seen of Today when it is left for another application or closed is what it opens with the next time. What is left
 * for another screen may change there, and is not kept.
 * @param starts as they are drawn; undefined while they are read
 */
export function useSight(starts: readonly Start[] | undefined): void {
  const keepNow = useStable(() => {
    if (!starts) return;
    const now = Date.now();
    const next = starts.map((s) => Date.parse(s.startsAt)).filter((at) => at > now);
    if (next.length > 0) keepSight(Math.min(...next, endOfDay(now)));
    else forgetSight();
  });
  useEffect(() => {
    const left = () => {
      if (document.visibilityState === "hidden") keepNow();
    };
    document.addEventListener("visibilitychange", left);
    window.addEventListener("pagehide", keepNow);
    return () => {
      document.removeEventListener("visibilitychange", left);
      window.removeEventListener("pagehide", keepNow);
      forgetSight();
    };
  }, [keepNow]);
}
