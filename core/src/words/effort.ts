/**
 * Effort up to which work counts as easy, per cent: the border that the coaching rules of thumb behind the easy share and
 * the easy repetitions draw (custom; a club will be able to change it).
 */
export const EASY_EFFORT = 40;

/** Effort from which work is hard enough to owe a rest before the start, per cent (custom, near-maximal in most rests' tables). */
export const HARD_EFFORT = 85;
