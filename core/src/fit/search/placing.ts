import { type Opening, walkBack } from "../model/openings";

/** What limits the moment at which a drill may end, given what comes after it. */
export interface Placing {
  /** Seconds of way to the next place. */
  way: number;
  /** Fixed points, during which no way is gone. */
  busy: readonly { from: number; to: number }[];
  /** Latest end, from the start. */
  deadline: number;
  /** Rest owed before the next work, seconds. */
  rest: number;
  /** When it can be done, the latest stretch first. */
  openings: readonly Opening[];
}

/**
 * The latest end that what comes after allows.
 * @param next when the next drill begins; `work` when the next that is work does
 */
export function latestEnd({ way, busy, deadline, rest }: Placing, next: number, work: number): number {
  return Math.min(way > 0 ? walkBack(next, way, busy) : next, work - rest, deadline);
}
