import { runClock, runState } from "@tonodrome/core";
import { useEffect } from "react";
import type { KeptRun } from "~/data/runs/keptRun";
import { pressesOf } from "./usePresses";

/** Later than this it does not begin by itself any more, seconds: nobody seems to be there. */
const TOO_LATE = 60;

/** What goes on without a press, in every run on this device: a wait that is over, and a beginning that is due. */
export function useAutomatics(runs: readonly KeptRun[], now: number, beginsItself: boolean): void {
  useEffect(() => {
    for (const { run, events } of runs) {
      const state = runState(run.plan, events);
      const clock = runClock(state, now);
      const presses = pressesOf(run.id, () => state);
      const wait = state.splits[state.index]?.drill.wait;
      if (state.status === "under-way" && wait && clock.remaining <= 0 && state.heldSince === null)
        presses.done();
      if (
        state.status === "ready" &&
        beginsItself &&
        clock.ahead <= 0 &&
        clock.ahead > -TOO_LATE &&
        clock.untilStart > 0
      )
        presses.begin();
    }
  }, [runs, now, beginsItself]);
}
