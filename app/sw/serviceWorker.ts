import { clientsClaim } from "workbox-core";
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";

/*
 * Keeps the application itself on the device, so that it opens with no network at all after one visit. What the server
 * knows is not its business: the application keeps that itself.
 */

/** Every file of the build and its revision; the build puts them here. */
declare const self: {
  __WB_MANIFEST: { url: string; revision: string | null }[];
  skipWaiting(): Promise<void>;
  addEventListener(type: "message", listener: (event: { data: unknown }) => void): void;
};

precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();

/** Addresses of the server's own. */
const SERVERS = [/^\/api\//, /^\/(health|ready|docs)\b/];

// Every other address is one of the application's screens.
registerRoute(new NavigationRoute(createHandlerBoundToURL("/index.html"), { denylist: SERVERS }));

// A new build waits until every page of the old one is closed: a run is not disturbed by it.
clientsClaim();

// A page that the server does not serve any more asks for the new build: nothing is unsent in it by then.
self.addEventListener("message", ({ data }) => {
  if (data === "take over") void self.skipWaiting();
});
