import type { Partner } from "./partner";

/** What a dose is made of: bouts (sets, attempts, rounds, sides) of one length with a rest between every two. Seconds. */
export interface Bouts {
  bouts: number;
  /** Of one bout, what is rested within it included. */
  boutSeconds: number;
  restSeconds: number;
}

/**
 * Seconds from beginning to end, with whoever takes part.
 *
 * Alone or together: bouts × length + rest × (bouts − 1). With roles swapped: all of it twice, and a changeover. In turn:
 * every bout twice, and the partner's bout *is* the rest; only what the rest is longer than that comes on top, between
 * every two.
 * @example secondsOf({ bouts: 3, boutSeconds: 20, restSeconds: 30 }, alternating) // 3 × 40 + 2 × 10 = 140
 */
export function secondsOf({ bouts, boutSeconds, restSeconds }: Bouts, partner: Partner | undefined): number {
  if (partner?.mode === "alternating")
    return 2 * bouts * boutSeconds + restBesidePartner(restSeconds, boutSeconds) * (bouts - 1);
  const alone = bouts * boutSeconds + restSeconds * (bouts - 1);
  return partner?.mode === "swapped" ? 2 * alone + partner.changeoverSeconds : alone;
}

/** What is left of a rest when the partner's bout is over, seconds. */
export function restBesidePartner(restSeconds: number, boutSeconds: number): number {
  return Math.max(0, restSeconds - boutSeconds);
}
