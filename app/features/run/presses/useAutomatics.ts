import { automaticPress, runClock, runState } from "@tonodrome/core";
import { useEffect } from "react";
import type { KeptRun } from "~/data/runs/keptRun";
import { pressesOf } from "./usePresses";

/** What goes on without a press, in every run on this device. */
export function useAutomatics(runs: readonly KeptRun[], now: number, beginsItself: boolean): void {
  useEffect(() => {
    for (const { run, events } of runs) {
      const state = runState(run.plan, events);
      const press = automaticPress(state, runClock(state, now), beginsItself);
      if (press) pressesOf(run.id, () => state)[press]();
    }
  }, [runs, now, beginsItself]);
}
