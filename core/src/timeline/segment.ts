import type { IdleReason } from "../fit/idle";
import type { DrillOutcome } from "../words/drillOutcome";
import type { Phase } from "../words/phase";

/** What tells the wait before the start apart. */
export const BEFORE_START = "~";

/**
 * A stretch of a warm-up in which one thing is done, or nothing. Segments follow one another without gap or overlap, and
 * the last before the start ends with it. Times in seconds from the start, negative before it.
 */
export interface Segment {
  kind: "drill" | "idle";
  /** What tells it apart, as a run's step has it: the item, of a ladder the rung; of idle time the item before it and "~". */
  key: string;
  /** The plan's item; of a rung the ladder's; of idle time what it comes after; "" of idle time before anything is done. */
  itemId: string;
  /** Of the drill or rung; "" for idle time of a fit, whose reasons say what it is. */
  name: string;
  phase: Phase;
  place: string;
  /** Per cent of maximum effort; 0 for idle time. */
  intensity: number;
  fromSeconds: number;
  toSeconds: number;
  /** Why nothing is done; empty for a drill, and in a run. */
  reasons: readonly IdleReason[];
  /** What became of it: "pending" throughout in a fit. */
  outcome: DrillOutcome;
}

/** What of it a picture of the whole shows. */
export type RiseSegment = Pick<
  Segment,
  "kind" | "key" | "itemId" | "phase" | "intensity" | "fromSeconds" | "toSeconds"
>;

/** Segments of one drill, a ladder's rungs together, and each stretch of idle time by itself, in order. */
export function byItem(segments: readonly Segment[]): Segment[][] {
  const groups: Segment[][] = [];
  for (const segment of segments) {
    const group = groups.at(-1);
    const before = group?.[0];
    const goesOn = before?.kind === "drill" && segment.kind === "drill" && before.itemId === segment.itemId;
    if (goesOn) group?.push(segment);
    else groups.push([segment]);
  }
  return groups;
}

/** Idle time that ends when a drill begins; undefined when something is done until then. */
export function idleBefore(segments: readonly Segment[], itemId: string): Segment | undefined {
  const at = segments.findIndex((s) => s.kind === "drill" && s.itemId === itemId);
  const before = segments[at - 1];
  return before?.kind === "idle" ? before : undefined;
}

/** Idle time that ends with the start; undefined when something is done until then. */
export function waitBeforeStart<S extends RiseSegment>(segments: readonly S[]): S | undefined {
  const last = segments.at(-1);
  return last?.kind === "idle" && last.toSeconds === 0 ? last : undefined;
}
