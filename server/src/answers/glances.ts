import { MINUTE_SECONDS } from "@tonodrome/core";
import { MOST, type Start } from "@tonodrome/core/api";
import type { Glance } from "@tonodrome/core/judge";
import type { Threads } from "../threads/threads";

/** So many are remembered, of all clubs. Custom. */
const MOST_REMEMBERED = 2_000;

/** The glances that were last taken, the oldest first, by what they are of; those that are being taken among them. */
const taken = new Map<string, Promise<Glance | null>>();

/** How a start stands for a time available, in a thread of its own; null where it is not quickly told. */
function glanceAt(threads: Threads, start: Start, seconds: number): Promise<Glance | null> {
  const of = `${start.id} ${start.stamp} ${seconds}`;
  const { startsAt, setting, facts, plan } = start;
  const known = taken.get(of);
  const glance =
    known ?? threads.do("glance", { plan: plan.body, day: { startsAt, setting, facts }, seconds });
  taken.delete(of);
  taken.set(of, glance);
  // What could not be taken just now is tried again the next time.
  if (!known) glance.catch(() => taken.delete(of));
  for (const oldest of taken.keys()) {
    if (taken.size <= MOST_REMEMBERED) break;
    taken.delete(oldest);
  }
  return glance.catch(() => null);
}

/** Seconds before its start at which a warm-up begins, for all the time there is for it; all of that where it is not quickly told. */
export async function warmUpSecondsOf(threads: Threads, start: Start): Promise<number> {
  const seconds = Math.floor((Date.parse(start.startsAt) - Date.parse(start.readyAt)) / 1000);
  if (start.plan.body.items.length === 0) return seconds;
  const glance = await glanceAt(threads, start, seconds - (seconds % MINUTE_SECONDS));
  return glance ? -glance.beginSeconds : seconds;
}

/**
 * How the next of some starts stand, as far as that is quickly told: whoever opens a list sees at once when to begin.
 * @param now milliseconds since the epoch
 */
export async function glancesOf(
  threads: Threads,
  starts: readonly Start[],
  now: number,
): Promise<{ id: string; stamp: string; glance: Glance }[]> {
  const next = starts
    .filter((s) => Date.parse(s.startsAt) > now && s.plan.body.items.length > 0)
    .slice(0, MOST.glances);
  const found = await Promise.all(
    next.map(async (start) => {
      const from = Math.max(now, Date.parse(start.readyAt));
      const seconds = Math.max(0, Math.floor((Date.parse(start.startsAt) - from) / 1000));
      const glance = await glanceAt(threads, start, seconds - (seconds % MINUTE_SECONDS));
      return glance ? [{ id: start.id, stamp: start.stamp, glance }] : [];
    }),
  );
  return found.flat();
}
