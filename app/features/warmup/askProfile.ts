import { type FitProfile, withTable } from "@tonodrome/core";
import type { ProfileAnswer, ProfileAsk } from "./profileWorker";

/** The worker that is free; one that is busy with what nobody waits for any more is ended. */
let idle: Worker | null = null;

function worker(): Worker {
  const free = idle ?? new Worker(new URL("./profileWorker", import.meta.url));
  idle = null;
  return free;
}

/**
 * Has every time available reckoned in a worker, so that the page stays free for the finger.
 * @param onShare told how far it is, from 0 to 1
 * @returns what calls it off
 */
export function askProfile(
  ask: ProfileAsk,
  onShare: (share: number) => void,
  onDone: (profile: FitProfile) => void,
): () => void {
  const busy = worker();
  let done = false;
  busy.onmessage = ({ data }: MessageEvent<ProfileAnswer>) => {
    if ("share" in data) {
      onShare(data.share);
      return;
    }
    done = true;
    idle = busy;
    onDone(withTable(ask.plan, ask.context, ask.horizonSeconds, data.table));
  };
  busy.postMessage(ask);
  return () => {
    if (!done) busy.terminate();
  };
}
