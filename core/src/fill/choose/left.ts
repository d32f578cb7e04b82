/** Seconds: with so little left of a part's time nothing more is put into it (custom). */
export const NOTHING_LEFT = 20;
