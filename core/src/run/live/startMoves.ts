/** What is known of one start in two places: on the server and in a run. All times in milliseconds since the epoch. */
export interface StartMoves {
  /** Where the server has the start. */
  theirs: number;
  /** Where the run has it. */
  here: number;
  /** Where the server had it when it was last heard from; null before that. */
  heard: number | null;
  /** Where it was last told to move to from here; null before that, and once that has been heard back. */
  told: number | null;
  /** Every time it has had in this run, which a page that is opened again knows it by. */
  had: readonly number[];
}

/**
 * Who moved the start last, where the two differ.
 * @returns "there" when the run has to follow, "here" when the server has to be told, null when both agree
 */
export function whoMoved({ theirs, here, heard, told, had }: StartMoves): "there" | "here" | null {
  if (theirs === here) return null;
  // What was told from here comes back while it has already moved on here.
  if (theirs === told) return "here";
  const isNews = heard === null ? !had.includes(theirs) : theirs !== heard;
  return isNews ? "there" : "here";
}
