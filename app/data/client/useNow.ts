import { MINUTE_MS } from "@tonodrome/core";
import { useEffect, useState } from "react";
import { useStable } from "~/ui/hooks/useStable";
import { timeNow } from "./clock";

/**
 * The time as the server has it, milliseconds since the epoch, looked at again and again.
 * @param wait how long until it is looked at next, milliseconds; the same function all along
 */
function useLooks(wait: (now: number) => number): number {
  const [now, setNow] = useState(timeNow);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      clearTimeout(timer);
      const now = timeNow();
      setNow(now);
      timer = setTimeout(tick, wait(now));
    };
    timer = setTimeout(tick, wait(timeNow()));
    // A sleeping tab holds its timers back; on waking the clock must be right at once.
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener("visibilitychange", tick);
    };
  }, [wait]);
  return now;
}

/** The time as the server has it, milliseconds since the epoch, renewed at every full `every` milliseconds. */
export function useNow(every = 1000): number {
  return useLooks(useStable((now) => every - (now % every)));
}

/**
 * The time, renewed only when a length of time to or from one of some moments reads differently: with each whole minute, and
 * with each second within the last. A list of starts is not drawn anew all the time.
 * @param moments milliseconds since the epoch, as they are when it is asked; given the time it is then
 */
export function useNowNear(moments: (now: number) => readonly number[]): number {
  return useLooks(
    useStable((now) => Math.min(MINUTE_MS, ...moments(now).map((m) => untilOtherWords(m - now, now)))),
  );
}

/** Milliseconds until a length reads differently. */
function untilOtherWords(left: number, now: number): number {
  if (Math.abs(left) <= MINUTE_MS) return 1000 - (now % 1000);
  return left > 0 ? (left % MINUTE_MS) + 1 : MINUTE_MS - (-left % MINUTE_MS);
}
