import { isUnsent } from "./keptRun";
import "./sendPressed";
import { drop, everyRun, forgetOver, presses } from "./store";

/** Sends what the server lacks of all runs, and removes from this device what is over. */
export async function sendAll(): Promise<void> {
  await presses.sendAll();
  forgetOver();
}

/** Removes every run that the server has whole from this device; what is left is only here. */
export function forgetSentRuns(): void {
  for (const kept of everyRun()) if (!isUnsent(kept)) drop(kept.run.id);
}
