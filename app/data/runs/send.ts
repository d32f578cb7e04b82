import { isUnsent } from "./keptRun";
import "./sendPressed";
import { drop, everyRun, forgetOver, presses } from "./store";

/** Sends whatever of runs the server does not have yet, and frees this device of what is over. */
export async function sendAll(): Promise<void> {
  await presses.sendAll();
  forgetOver();
}

/** Frees this device of every run that the server has whole: what is left is only here. */
export function forgetSentRuns(): void {
  for (const kept of everyRun()) if (!isUnsent(kept)) drop(kept.run.id);
}
