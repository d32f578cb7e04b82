import { automaticPress, runClock } from "@tonodrome/core";
import { useEffect } from "react";
import type { KeptRun } from "~/data/runs/keptRun";
import { stateOf } from "~/data/runs/stateOf";
import { pressesOf } from "./usePresses";

/** What goes on without a press, in every run on this device. */
export function useAutomatics(runs: readonly KeptRun[], now: number, beginsItself: boolean): void {
  useEffect(() => {
    for (const kept of runs) {
      const state = stateOf(kept);
      const press = automaticPress(state, runClock(state, now), beginsItself);
      if (press) pressesOf(kept.run.id, () => state)[press]();
    }
  }, [runs, now, beginsItself]);
}
