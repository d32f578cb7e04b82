import { useEffect } from "react";
import { useStable } from "./useStable";

/** What is open and closed by the browser's Back, the newest last. */
const open: { guard: number; close: () => void }[] = [];

/** The guard of the entry of the browser's history that one is on; null on one of the router's own. */
let at: number | null = null;
let guards = 0;
let listens = false;

const guardOf = (state: unknown): number | null =>
  (state as { guard?: number } | null | undefined)?.guard ?? null;

function listen(): void {
  if (listens) return;
  listens = true;
  // Where one is is also changed by the router; what it writes into the entry of the page one is on changes nothing.
  for (const method of ["pushState", "replaceState"] as const) {
    const change = history[method].bind(history);
    history[method] = (state: unknown, unused: string, url?: string | URL | null) => {
      const { pathname } = location;
      change(state, unused, url);
      if (method === "pushState" || guardOf(state) !== null || location.pathname !== pathname)
        at = guardOf(state);
    };
  }
  const onPop = (event: PopStateEvent) => {
    const from = at;
    at = guardOf(event.state);
    const top = open.at(-1);
    if (top) {
      if (at !== top.guard) top.close();
      return;
    }
    // An entry that only stood for something open by then closed is passed over, in either direction.
    if (from === null && at === null) return;
    at = null;
    history.back();
  };
  window.addEventListener("popstate", onPop);
}

/**
 * While it is there, the browser's Back closes it and does not leave the page. The entry made for that is passed over
 * later, when it was closed in another way.
 */
export function useBackCloses(close: () => void): void {
  const onBack = useStable(close);
  useEffect(() => {
    listen();
    const guard = ++guards;
    // The entry of something just closed serves again.
    if (at !== null && open.length === 0) history.replaceState({ ...history.state, guard }, "");
    else history.pushState({ ...history.state, guard }, "");
    const entry = { guard, close: onBack };
    open.push(entry);
    return () => {
      open.splice(open.indexOf(entry), 1);
    };
  }, [onBack]);
}
