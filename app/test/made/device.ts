import type { Start } from "@tonodrome/core/api";
import { FakeRuns } from "./fakeRuns";
import { makeMe } from "./makeMe";

type Runs = typeof import("~/data/runs/store") &
  typeof import("~/data/runs/send") &
  typeof import("~/data/runs/press");

/** A device with nothing kept on it, signed in, beside a server that it can reach; time stands still. */
export function freshDevice(start: Start): FakeRuns {
  jest.useFakeTimers();
  localStorage.clear();
  localStorage.setItem("me", JSON.stringify(makeMe()));
  const server = new FakeRuns(start);
  Object.assign(globalThis, { fetch: server.fetch });
  Object.assign(AbortSignal, { timeout: () => undefined });
  return server;
}

/** Opens the application anew on the same device. */
export function openApplication(): { account: typeof import("~/data/account/account"); runs: Runs } {
  let opened: ReturnType<typeof openApplication> | undefined;
  jest.isolateModules(() => {
    const account = require("~/data/account/account");
    const runs = {
      ...require("~/data/runs/store"),
      ...require("~/data/runs/send"),
      ...require("~/data/runs/press"),
    };
    opened = { account, runs };
  });
  return opened as ReturnType<typeof openApplication>;
}
