import { fitPlan, runPlanOf } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { FakeRuns } from "./fakeRuns";
import { makeMe } from "./makeMe";

type Runs = typeof import("~/data/runs/store") &
  typeof import("~/data/runs/send") &
  typeof import("~/data/runs/press") &
  typeof import("~/data/runs/sendPressed") &
  typeof import("~/data/runs/checkKeptRuns");

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
      ...require("~/data/runs/sendPressed"),
      ...require("~/data/runs/checkKeptRuns"),
    };
    opened = { account, runs };
  });
  return opened as ReturnType<typeof openApplication>;
}

/** Such a device for each test of a file, the application open on it, with runs of one start. */
export function runDevice(start: Start) {
  const device = {
    server: undefined as unknown as FakeRuns,
    account: undefined as unknown as ReturnType<typeof openApplication>["account"],
    runs: undefined as unknown as Runs,
    /** Opens the application anew. */
    reopen() {
      Object.assign(device, openApplication());
    },
    /** A run of the start as it fits. */
    begin: () => device.runs.createRun(start, runPlanOf(fitPlan(start.plan.body, 2700), start.startsAt)),
    /** What the device has of what was pressed in a run. */
    kept: (id: string) => {
      const kept = JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "");
      return kept.item ?? kept;
    },
    settle: () => jest.advanceTimersByTimeAsync(10_000),
  };
  beforeEach(() => {
    device.server = freshDevice(start);
    device.reopen();
  });
  afterEach(() => void jest.useRealTimers());
  return device;
}
