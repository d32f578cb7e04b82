import type { RunEvent } from "@tonodrome/core";
import { MOST_AHEAD } from "@tonodrome/core/api";
import { timeNow } from "~/data/client/clock";
import type { Pressed } from "./keptRun";

const inTime = (a: RunEvent, b: RunEvent) => Date.parse(a.at) - Date.parse(b.at);

/**
 * Returns when the last of some events was, milliseconds since the epoch. Events further ahead than a clock may be off are
 * ignored: one phone with a wrong clock must not carry the others along.
 */
export function lastOf(events: readonly RunEvent[]): number {
  const latest = timeNow() + MOST_AHEAD;
  return events.map((e) => Date.parse(e.at)).reduce((last, at) => (at > last && at <= latest ? at : last), 0);
}

/** Presses whose time was corrected: each is once at most, however often the clock is corrected. */
const stamped = new Set<string>();

/**
 * Corrects the times of presses that only this device knows of, after the clock was corrected. They keep their order and come
 * after what the server has.
 * @param by how much later it is, milliseconds
 */
export function restamped(pressed: Pressed, by: number): Pressed {
  const recorded = new Set(pressed.recorded);
  const unsent = pressed.events.filter((e) => !recorded.has(e.id)).sort(inTime);
  let last = lastOf(pressed.events.filter((e) => recorded.has(e.id)));
  const stamps = new Map<string, string>();
  for (const { id, at } of unsent) {
    last = Math.max(last + 1, Date.parse(at) + (stamped.has(id) ? 0 : by));
    stamped.add(id);
    stamps.set(id, new Date(last).toISOString());
  }
  return { ...pressed, events: pressed.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) };
}

/** Returns presses of which none is later than now; they keep their order. */
export function noLaterThanNow(pressed: Pressed): Pick<Pressed, "events"> {
  const recorded = new Set(pressed.recorded);
  const now = timeNow();
  const stamps = new Map<string, string>();
  const early = pressed.events.filter((e) => !recorded.has(e.id) && Date.parse(e.at) > now).sort(inTime);
  for (const [i, event] of early.entries())
    stamps.set(event.id, new Date(now - early.length + i).toISOString());
  return { events: pressed.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) };
}
