import { MINUTE_MS } from "@tonodrome/core/units";
/** What Today opens with, as it is asked: early, before the application is there, and by the application. */

/** Starts are listed until so long after they have passed, milliseconds. */
export const LOOK_BACK_MS = 3 * 3_600_000;

/** Longest wait for an answer, milliseconds. In a hall a hanging request is worse than a plain "not reached". */
export const PATIENCE_MS = 10_000;

/** Starts asked for whole at once: the most that the server gives, `MOST.startsTogether`. */
export const STARTS_AT_A_TIME = 20;

/** Who is signed in. */
export const ME = "/me";

/** The starts of a club from three hours ago on, below its address. @param now milliseconds since the epoch */
export function startsPath(now: number): string {
  const from = now - LOOK_BACK_MS;
  // By the minute, so that what was asked a moment before is the same question.
  return `/starts?from=${new Date(from - (from % MINUTE_MS)).toISOString()}`;
}

/** Some of them whole. */
export const wholePath = (ids: readonly string[]): string => `/starts/whole?ids=${ids.join(",")}`;
