import { useEffect, useState } from "react";

/** The time, milliseconds since the epoch, renewed at every full `every` milliseconds. */
export function useNow(every = 1000): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      clearTimeout(timer);
      setNow(Date.now());
      timer = setTimeout(tick, every - (Date.now() % every));
    };
    timer = setTimeout(tick, every - (Date.now() % every));
    // A sleeping tab holds its timers back; on waking the clock must be right at once.
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearTimeout(timer);
      document.removeEventListener("visibilitychange", tick);
    };
  }, [every]);
  return now;
}
