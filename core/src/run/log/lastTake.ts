import type { RunEvent } from "./runEvent";

/** Who went on with a run on another device last: the press, and whose it was; null while it is with whoever made it. */
export function lastTake(events: readonly RunEvent[]): Extract<RunEvent, { kind: "take" }> | null {
  return events.reduce<Extract<RunEvent, { kind: "take" }> | null>((last, e) => {
    if (e.kind !== "take") return last;
    const by = last ? Date.parse(e.at) - Date.parse(last.at) : 1;
    return by > 0 || (by === 0 && last !== null && e.id > last.id) ? e : last;
  }, null);
}
