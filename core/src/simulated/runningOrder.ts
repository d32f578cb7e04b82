import { random } from "../maths/random";
import { HOUR_MS } from "../time/units";
import { wallClock, zonedInstant } from "../time/zone";

/** What a running order says of one start. */
export interface OrderNews {
  /** When the start is to be expected now, ISO 8601. */
  startsAt: string;
  /** Seconds after the time on the start list. */
  lateSeconds: number;
  /** How many are still to go before it. */
  before: number;
  /** True of a stand-in, so that nobody takes it for the real one. */
  simulated: boolean;
}

/** The start list of one competition day at one place: all who start from it are late together. */
export interface StartList {
  seed: number;
  /** When its first one goes, milliseconds since the epoch. */
  opens: number;
}

/** Where a start stands on a list. */
export interface Listed {
  /** The time on the start list, ISO 8601: a start that has been moved no longer says it. */
  listedAt: string;
  venue: string;
  /** IANA name. */
  zone: string;
}

/** A competition day begins at this time of the place's own clock; who starts after midnight is still of the day before. */
const DAY_BEGINS = { hour: 4, time: "04:00" };

/** The simulated list that a start stands on: the same for all of one place and day. */
export function simulatedList(seed: number, { listedAt, venue, zone }: Listed): StartList {
  const early = new Date(Date.parse(listedAt) - DAY_BEGINS.hour * HOUR_MS).toISOString();
  const { date } = wallClock(early, zone);
  const opens = Date.parse(zonedInstant(date, DAY_BEGINS.time, zone).instant);
  return { seed: mixed(seed, `${venue.trim().toLowerCase()} ${date}`), opens };
}

/** A seed that depends on some words too (FNV-1a, 32 bits). */
function mixed(seed: number, words: string): number {
  let hash = 0x811c9dc5 ^ seed;
  for (const letter of words) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return hash >>> 0;
}

/** From one to the next on the list, milliseconds. */
const SLOT = 420_000;

/**
 * A competition that runs late in a seeded, repeatable way: one goes after the other, now and then something takes minutes,
 * and what is lost is won back little by little. Nobody goes before their time on the list, and nobody overtakes.
 * @param listed the time on the start list, milliseconds since the epoch
 * @param now milliseconds since the epoch
 */
export function simulatedOrder({ seed, opens }: StartList, listed: number, now: number): OrderNews {
  const next = random(seed);
  const mine = Math.floor((listed - opens) / SLOT);
  let free = opens;
  let gone = 0;
  for (let k = 0; k < mine; k++) {
    // Both are drawn every time, so that what comes later does not depend on what comes now.
    const [kind, much] = [next(), next()];
    const begins = Math.max(opens + k * SLOT, free);
    const ends = begins + SLOT + overrun(kind, much);
    if (ends <= now) gone++;
    // Nobody knows yet how long one will take: as listed, or longer once it has gone on for longer.
    free = ends <= now ? ends : begins <= now ? Math.max(begins + SLOT, now) : begins + SLOT;
  }
  const lateSeconds = Math.max(0, Math.round((free - opens - mine * SLOT) / 1000));
  return {
    startsAt: new Date(listed + lateSeconds * 1000).toISOString(),
    lateSeconds,
    before: mine - gone,
    simulated: true,
  };
}

/** How much longer than listed one takes, milliseconds. */
function overrun(kind: number, much: number): number {
  return (kind < 0.09 ? 120 + much * 240 : -much * 40) * 1000;
}
