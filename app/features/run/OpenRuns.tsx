import { useMemo } from "react";
import { useMay } from "~/data/account/useAccount";
import { isFollowed, type KeptRun } from "~/data/runs/keptRun";
import { useOpenRuns } from "~/data/runs/useRuns";
import { useRunSettings } from "./device/runSettings";
import { useAutomatics } from "./presses/useAutomatics";
import { RunStrip } from "./RunStrip";

const NO_RUNS: readonly KeptRun[] = [];

/**
 * Every run under way on this device, the one shown among them: what goes on in them without a press, and the way from one
 * to another. Apart from the run on the screen, which an answer of the server's changes nothing of.
 */
export function OpenRuns({ here, now }: { here: string; now: number }) {
  const runs = useOpenRuns();
  const mayRun = useMay("run");
  const { beginsItself } = useRunSettings();
  const own = useMemo(() => (mayRun ? runs.filter((kept) => !isFollowed(kept)) : NO_RUNS), [mayRun, runs]);
  useAutomatics(own, now, beginsItself);
  return <RunStrip runs={runs} here={here} now={now} />;
}
