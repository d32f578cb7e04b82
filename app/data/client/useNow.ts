import { useEffect, useState } from "react";
import { timeNow } from "./clock";

/** The time as the server has it, milliseconds since the epoch, renewed at every full `every` milliseconds. */
export function useNow(every = 1000): number {
  const [now, setNow] = useState(timeNow);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      clearTimeout(timer);
      const now = timeNow();
      setNow(now);
      timer = setTimeout(tick, every - (now % every));
    };
    timer = setTimeout(tick, every - (timeNow() % every));
    // A sleeping tab holds its timers back; on waking the clock must be right at once.
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener("visibilitychange", tick);
    };
  }, [every]);
  return now;
}
