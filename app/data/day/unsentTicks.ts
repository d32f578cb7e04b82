import { keptKeys } from "~/data/device/storage";
import { TICKS } from "~/early/keptKeys";

/** Sends ticks that only this device knows; what does that is loaded where there are any. */
export function sendKeptTicks(): void {
  if (keptKeys(TICKS).length > 0) void import("./ticks").then(({ sendTicks }) => sendTicks());
}
