import { HOUR_SECONDS } from "../time/units";

// Apart from the shapes of a start: what is shown first needs it without them.

/** Longest time available that a start may have. */
export const LONGEST_AVAILABLE_SECONDS = 12 * HOUR_SECONDS;

/** Time available that a new start begins with. Custom. */
export const USUAL_AVAILABLE_MINUTES = 45;
