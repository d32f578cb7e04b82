import type { RunEvent } from "@tonodrome/core";
import { MOST_AHEAD } from "@tonodrome/core/api";
import { timeNow, whenCorrected } from "~/data/client/clock";
import { everyRun, get, put } from "./store";

const inTime = (a: RunEvent, b: RunEvent) => Date.parse(a.at) - Date.parse(b.at);

/**
 * When the last of some events was, milliseconds since the epoch. What is stamped further ahead than a clock may be off
 * does not count: one phone with a wrong clock must not carry the others along.
 */
export function lastOf(events: readonly RunEvent[]): number {
  const latest = timeNow() + MOST_AHEAD;
  return events.map((e) => Date.parse(e.at)).reduce((last, at) => (at > last && at <= latest ? at : last), 0);
}

/**
 * The time turned out to be another than was thought: every press that only this device knows of was stamped by what was
 * thought, and is stamped anew. They keep their order, and come after what the server has.
 */
function restamp(by: number): void {
  for (const kept of everyRun()) {
    const recorded = new Set(kept.recorded);
    const unsent = kept.events.filter((e) => !recorded.has(e.id)).sort(inTime);
    if (unsent.length === 0) continue;
    let last = lastOf(kept.events.filter((e) => recorded.has(e.id)));
    const stamps = new Map<string, string>();
    for (const { id, at } of unsent) {
      last = Math.max(last + 1, Date.parse(at) + by);
      stamps.set(id, new Date(last).toISOString());
    }
    put({ ...kept, events: kept.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) });
  }
}
whenCorrected(restamp);

/** No press of this device is later than it is now; they keep their order. */
export function stampNoLaterThanNow(id: string): void {
  const kept = get(id);
  if (!kept) return;
  const recorded = new Set(kept.recorded);
  const now = timeNow();
  const stamps = new Map<string, string>();
  const early = kept.events.filter((e) => !recorded.has(e.id) && Date.parse(e.at) > now).sort(inTime);
  for (const [i, event] of early.entries())
    stamps.set(event.id, new Date(now - early.length + i).toISOString());
  put({ ...kept, events: kept.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) });
}
