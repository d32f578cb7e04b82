/**
 * Gathers the ways of coming to one state: what is there already, and new labels for one drill. Whatever another
 * dominates is dropped when they are drained.
 */
export interface Collector {
  /** Takes up a list that stands. */
  load(list: Int32Array): void;
  /** Offers a new label; `spent` of it has been written to `spentOf`. */
  add(begin: number, span: number, high: number, low: number, parent: number, level: number): void;
  /** Where the figures of the next label to be added go. */
  readonly spentOf: Int32Array;
  /** The list of what is left; new labels get their places among the others. */
  drain(drill: number): Int32Array;
}
