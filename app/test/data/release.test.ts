import { API_VERSION, HEADERS } from "@tonodrome/core/api";
import { hearRelease, release, SAYS, takeNewest } from "~/data/client/release";

const says = (least: number) => new Headers({ [HEADERS.least]: String(least) });

it("says of itself which it is, and knows when the server serves only newer ones", () => {
  expect(SAYS[HEADERS.client]).toBe(String(API_VERSION));
  hearRelease(says(API_VERSION));
  expect(release.getState().isTooOld).toBe(false);
  hearRelease(says(API_VERSION + 1));
  expect(release.getState().isTooOld).toBe(true);
  // An answer that does not say, from a cache say, changes nothing.
  hearRelease(new Headers());
  hearRelease(undefined);
  expect(release.getState().isTooOld).toBe(true);
  hearRelease(says(API_VERSION));
  expect(release.getState().isTooOld).toBe(false);
});

it("has the newest build take over", async () => {
  const told: string[] = [];
  const registration = {
    update: async () => void told.push("update"),
    waiting: { postMessage: (message: string) => void told.push(message) },
  };
  Object.assign(navigator, { serviceWorker: { getRegistration: async () => registration } });
  await takeNewest();
  expect(told).toEqual(["update", "take over"]);
});
