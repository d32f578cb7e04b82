import { buzz, playTone } from "~/features/run/sound/tones";

/** Calls: by the device where that is granted, and by the page's own sound. */
export async function notify(title: string, body: string, key: string): Promise<void> {
  playTone("start");
  buzz("start");
  if (typeof Notification === "undefined" || Notification.permission !== "granted") return;
  const options = { body, tag: key, requireInteraction: true };
  try {
    // A phone takes them from the service worker alone.
    const worker = await navigator.serviceWorker?.getRegistration();
    if (worker) await worker.showNotification(title, options);
    else new Notification(title, options);
  } catch {
    // The page has called already.
  }
}
