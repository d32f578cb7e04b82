import type { State } from "../model/state";

/** The partial plans of one state. */
export interface Front {
  state: State;
  /** Ids of labels, the latest beginning first. */
  list: Int32Array;
}

/** All of them, by the key of their state. */
export type Fronts = Map<string, Front>;

/** Always in the same order, however they came about, so that of equal plans the same one is chosen. */
export function inOrder(fronts: Fronts): Front[] {
  return [...fronts.keys()].sort().map((key) => fronts.get(key) as Front);
}
