/** Longest time available that a start may have, seconds. Apart from the shapes: what is shown first needs it without them. */
export const LONGEST_AVAILABLE = 12 * 3600;
