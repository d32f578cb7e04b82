import type { Made } from "../../made/situations";

/** Situations in which a check speaks, and the nearest ones in which it does not, from the document. */
export interface Cases {
  fires: readonly Made[];
  not: readonly Made[];
  /** Whether the first of those that fire has a mend that does what it promises. */
  mends?: true;
}
