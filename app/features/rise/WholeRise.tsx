import type { RiseSegment } from "@tonodrome/core";
import { Rise } from "./Rise";

interface WholeRiseProps {
  segments: readonly RiseSegment[];
  /** Pixels of the hardest effort. */
  height?: number;
}

/** A warm-up's rise over the whole width, from its first drill to the start: the small picture that stands for it everywhere. */
export function WholeRise({ segments, height = 32 }: WholeRiseProps) {
  const first = segments[0]?.fromSeconds ?? 0;
  return first < 0 ? <Rise segments={segments} spanSeconds={-first} height={height} /> : null;
}
