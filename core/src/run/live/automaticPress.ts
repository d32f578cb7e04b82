import type { RunState } from "../log/state";
import type { RunClock } from "./runClock";

/** Later than this it does not begin by itself any more, seconds: nobody seems to be there (custom). */
const TOO_LATE = 60;

/**
 * What goes on without a press: a wait that is over, and a beginning that is due.
 * @param beginsItself whether it is wished that a run begins by itself
 * @returns the press that is to be made now; null when none is
 */
export function automaticPress(
  { status, splits, index, heldSince }: Pick<RunState, "status" | "splits" | "index" | "heldSince">,
  { remaining, ahead, untilStart }: Pick<RunClock, "remaining" | "ahead" | "untilStart">,
  beginsItself: boolean,
): "done" | "begin" | null {
  if (status === "under-way" && splits[index]?.drill.wait && remaining <= 0 && heldSince === null)
    return "done";
  const isDue = ahead <= 0 && ahead > -TOO_LATE && untilStart > 0;
  return status === "ready" && beginsItself && isDue ? "begin" : null;
}
