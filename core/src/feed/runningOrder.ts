import { random } from "../random";

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

/** Seconds on the list from one to the next, and how many come before. */
const SLOT = 420;
const BEFORE = 12;

/**
 * A competition that runs late in a seeded, repeatable way: one goes after the other, most take a little longer than
 * listed, now and then something takes minutes, and what is lost is only won back little by little. Nobody goes before
 * their time on the list.
 * @param listed the time on the start list, milliseconds since the epoch
 * @param now milliseconds since the epoch
 */
export function simulatedOrder(seed: number, listed: number, now: number): OrderNews {
  const next = random(seed);
  const first = listed - BEFORE * SLOT * 1000;
  let free = first;
  let late = 0;
  let gone = 0;
  for (let k = 0; k < BEFORE; k++) {
    const planned = first + k * SLOT * 1000;
    const begins = Math.max(planned, free);
    // Both are drawn every time, so that what comes later does not depend on what comes now.
    const [kind, much] = [next(), next()];
    free = begins + (SLOT + overrun(kind, much)) * 1000;
    if (begins > now) break;
    // As late as this one began; later still once it has gone on for longer than it should have.
    late = Math.max(begins - planned, Math.min(free, now) - (planned + SLOT * 1000));
    if (free <= now) gone++;
  }
  const lateSeconds = Math.max(0, Math.round(late / 1000));
  return {
    startsAt: new Date(listed + lateSeconds * 1000).toISOString(),
    lateSeconds,
    before: BEFORE - gone,
    simulated: true,
  };
}

function overrun(kind: number, much: number): number {
  if (kind < 0.12) return 120 + much * 240;
  return kind < 0.8 ? much * 30 : -much * 30;
}
