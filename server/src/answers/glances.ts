import { MOST, type Start } from "@tonodrome/core/api";
import { type Glance, quickGlanceOf } from "@tonodrome/core/judge";

/** So many are remembered, of all clubs. Custom. */
const REMEMBERED = 2_000;
const MINUTE = 60;

/** The glances that were last taken, the oldest first, by what they are of. */
const taken = new Map<string, Glance | null>();

function glanceAt(start: Start, seconds: number): Glance | null {
  const of = `${start.id} ${start.stamp} ${seconds}`;
  const { startsAt, setting, facts, plan } = start;
  const known = taken.get(of);
  const glance =
    known === undefined
      ? quickGlanceOf({ plan: plan.body, day: { startsAt, setting, facts }, seconds })
      : known;
  taken.delete(of);
  taken.set(of, glance);
  for (const oldest of taken.keys()) {
    if (taken.size <= REMEMBERED) break;
    taken.delete(oldest);
  }
  return glance;
}

/** Seconds before its start at which a warm-up begins, for all the time there is for it; all of that where it is not quickly told. */
export function warmUpSecondsOf(start: Start): number {
  const seconds = Math.floor((Date.parse(start.startsAt) - Date.parse(start.readyAt)) / 1000);
  if (start.plan.body.items.length === 0) return seconds;
  const glance = glanceAt(start, seconds - (seconds % MINUTE));
  return glance ? -glance.beginSeconds : seconds;
}

/**
 * How the next of some starts stand, as far as that is quickly told: whoever opens a list sees at once when to begin.
 * @param now milliseconds since the epoch
 */
export function glancesOf(
  starts: readonly Start[],
  now: number,
): { id: string; stamp: string; glance: Glance }[] {
  return starts
    .filter((s) => Date.parse(s.startsAt) > now && s.plan.body.items.length > 0)
    .slice(0, MOST.glances)
    .flatMap((start) => {
      const from = Math.max(now, Date.parse(start.readyAt));
      const seconds = Math.max(0, Math.floor((Date.parse(start.startsAt) - from) / 1000));
      const glance = glanceAt(start, seconds - (seconds % MINUTE));
      return glance ? [{ id: start.id, stamp: start.stamp, glance }] : [];
    });
}
