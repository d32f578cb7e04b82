import { keptKeys } from "~/data/device/storage";
import { sendAll } from "~/data/runs/send";
import { moves } from "~/data/starts/moves";
import { TICKS } from "~/early/keptKeys";

/** Before every edit that is kept, of whatever. */
const DRAFTS = "draft:";

/** Has what this device kept looked after; what does that is loaded where there is any. */
async function load(): Promise<void> {
  const loads: Promise<unknown>[] = [];
  if (keptKeys(TICKS).length > 0) loads.push(import("~/data/day/ticks"));
  if (keptKeys(DRAFTS).length > 0)
    loads.push(
      import("~/data/plan/planDraft"),
      import("~/data/day/dayDraft"),
      import("~/data/starts/startEdits"),
    );
  await Promise.all(loads);
}

/** Sends whatever this device has kept and the server does not have. */
export async function sendKept(): Promise<void> {
  void sendAll();
  void moves.sendAll();
  // Without a network they are here all the same: they send what they have when there is one.
  await load().catch(() => undefined);
  const { sendEverything } = await import("~/data/outbox/unsent");
  await sendEverything();
}
