import { keptKeys } from "~/data/device/storage";

/** What ticks that the server does not have are kept under, before where they are sent. */
export const TICKS = "ticks:";

/** Sends ticks that only this device knows; what does that is loaded where there are any. */
export function sendKeptTicks(): void {
  if (keptKeys(TICKS).length > 0) void import("./ticks").then(({ sendTicks }) => sendTicks());
}
