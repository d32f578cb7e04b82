import { API_VERSION, HEADERS } from "@tonodrome/core/api";
import { createStore } from "zustand/vanilla";

/*
 * Which release this page is of, and whether the server still answers it as it expects. The device keeps an old build until
 * every page of it is closed, so a page may meet a newer server for days.
 */

/** Whether this page is too old for the server, which says so with every answer. */
export const release = createStore(() => ({ isTooOld: false }));

/** What is said of this page with every question. */
export const SAYS: Readonly<Record<string, string>> = { [HEADERS.client]: String(API_VERSION) };

/** Learns from an answer which clients the server serves. */
export function hearRelease(headers: Headers | undefined): void {
  const least = Number(headers?.get(HEADERS.least) ?? 0);
  const isTooOld = least > API_VERSION;
  if (isTooOld !== release.getState().isTooOld && headers?.get(HEADERS.least)) release.setState({ isTooOld });
}

/** Has the newest build take over from the one that the device keeps, and opens the page anew. */
export async function takeNewest(): Promise<void> {
  const registration = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  await registration?.update().catch(() => undefined);
  registration?.waiting?.postMessage("take over");
  window.location.reload();
}
