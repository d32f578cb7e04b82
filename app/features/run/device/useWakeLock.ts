import { useEffect } from "react";

/** Keeps the screen awake while a run is on; a browser gives that up whenever the page is out of sight. */
export function useWakeLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const hold = async () => {
      if (document.visibilityState !== "visible" || over) return;
      // Refused when the battery is low: the run goes on without it.
      lock = await navigator.wakeLock.request("screen").catch(() => null);
      if (over) void lock?.release();
    };
    void hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", hold);
      void lock?.release();
    };
  }, [wanted]);
}
