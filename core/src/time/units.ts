/** Lengths of time, each named by what it is and in what it is counted: core and screens count seconds, clocks milliseconds. */

/** Seconds. */
export const MINUTE_SECONDS = 60;
export const HOUR_SECONDS = 3_600;
export const DAY_SECONDS = 86_400;

/** Milliseconds. */
export const MINUTE_MS = 60_000;
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;

/** Minutes. */
export const HOUR_MINUTES = 60;
