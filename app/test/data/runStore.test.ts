import { fitPlan, runPlanOf } from "@tonodrome/core";
import { runDevice } from "~/test/made/device";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({}, twoMinutePlan);

const device = runDevice(start);
const { begin, settle, kept } = device;

it("is nothing to log before it is begun, on this device or the server's, and forgotten when it is long over", async () => {
  jest.setSystemTime(Date.parse(start.startsAt) - 600_000);
  device.reopen();
  const id = begin();
  // What is noted by itself does not begin it.
  device.runs.pressRun(id, { kind: "clock", aheadSeconds: 600 });
  device.runs.pressRun(id, { kind: "start-moved", startsAt: start.startsAt });
  await settle();
  device.reopen();
  await settle();
  expect([device.server.made, device.runs.presses.unsent(), device.runs.get(id)?.events.length]).toEqual([
    0, 0, 2,
  ]);
  jest.setSystemTime(Date.parse(start.startsAt) + 13 * 3_600_000);
  device.reopen();
  expect(device.runs.get(id)).toBeNull();
  expect(localStorage.getItem(`run:${id}`)).toBeNull();
});

it("two tabs on one run: nothing that was pressed in either is written over by the other", async () => {
  jest.setSystemTime(Date.parse(start.startsAt) - 600_000);
  const id = begin();
  await settle();
  const first = device.runs;
  device.reopen();
  const second = device.runs;
  first.pressRun(id, { kind: "begin" });
  second.pressRun(id, { kind: "hold" });
  first.pressRun(id, { kind: "release" });
  await settle();
  const kinds = kept(id).events.map((e: { kind: string }) => e.kind);
  expect(kinds.sort()).toEqual(["begin", "hold", "release"]);
  expect(device.server.runs.get(id)?.events).toHaveLength(3);
});

it.each([600_000, -600_000])(
  "what was pressed offline by a clock that is wrong by %d ms is stamped anew before it is sent, and the run goes on",
  async (behind) => {
    Object.assign(device.server, { up: false, behind });
    const id = begin();
    const began = Date.now() - behind;
    for (const kind of ["begin", "hold", "release"] as const) {
      device.runs.pressRun(id, { kind });
      await settle();
    }
    device.server.up = true;
    await settle();
    device.runs.pressRun(id, { kind: "done" });
    await settle();
    const events = device.server.runs.get(id)?.events ?? [];
    expect(events.map((e) => e.kind)).toEqual(["begin", "hold", "release", "done"]);
    const seconds = events.map((e) => (Date.parse(e.at) - began) / 1000);
    for (const [i, about] of [0, 10, 20, 40].entries())
      expect(Math.abs((seconds[i] ?? Number.NaN) - about)).toBeLessThan(5);
    // This device tells the same as the device.server.
    expect(kept(id).events).toEqual(events);
  },
);

it("takes a run that nobody ended for over after half a day, and frees the device of it once the server has it", async () => {
  jest.setSystemTime(Date.parse(start.startsAt));
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const open = () => device.runs.openRuns().map(({ run }) => run.id);
  expect(open()).toEqual([id]);
  await jest.advanceTimersByTimeAsync(12 * 3_600_000);
  expect(open()).toEqual([]);
  await device.runs.sendAll();
  expect(localStorage.getItem(`run:${id}`)).toBeNull();
  expect(device.server.runs.get(id)?.events).toHaveLength(1);
});

it("is not gone back to from a start that was given to another athlete since", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  expect(device.runs.openRunOf(start)).toBe(id);
  const given = { ...start, athlete: { id: "88888888-8888-4888-8888-888888888888", name: "Bo" } };
  expect(device.runs.openRunOf(given)).toBeNull();
  device.reopen();
  expect(device.runs.openRunOf(start)).toBe(id);
  expect(device.runs.openRunOf(given)).toBeNull();
});

it("goes on without room on the device, and says so", async () => {
  const full = jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  expect(device.runs.runStore.getState().keeps).toBe(false);
  expect(device.server.runs.get(id)?.events).toHaveLength(1);
  full.mockRestore();
  device.runs.pressRun(id, { kind: "hold" });
  await settle();
  expect(device.runs.runStore.getState().keeps).toBe(true);
});

describe("a device is freed of a run", () => {
  const isHere = (id: string) => localStorage.getItem(`run:${id}`) !== null;
  const later = async (hours: number) => {
    await jest.advanceTimersByTimeAsync(hours * 3_600_000);
    await device.runs.sendAll();
  };
  beforeEach(() => jest.setSystemTime(Date.parse(start.startsAt) - 3_600_000));

  it("an hour after it is over, and not before", async () => {
    const id = begin();
    for (const kind of ["begin", "end"] as const) device.runs.pressRun(id, { kind });
    await settle();
    await later(0.9);
    expect(isHere(id)).toBe(true);
    await later(0.2);
    expect(isHere(id)).toBe(false);
    expect(device.runs.get(id)).toBeNull();
  });

  it("not while it is under way, however long nothing is pressed", async () => {
    const id = begin();
    device.runs.pressRun(id, { kind: "begin" });
    await settle();
    await later(3);
    expect(isHere(id)).toBe(true);
  });

  it("not while the server lacks something of it, whoever is signed in", async () => {
    device.server.up = false;
    const id = begin();
    for (const kind of ["begin", "end"] as const) device.runs.pressRun(id, { kind });
    await settle();
    device.account.signedOutHere();
    device.server.up = true;
    await later(3);
    expect(isHere(id)).toBe(true);
  });
});

it("has the run of the next start first, and tells whoever shows them of every press", () => {
  const later = begin();
  const soon = { ...start, startsAt: new Date(Date.parse(start.startsAt) - 600_000).toISOString() };
  const next = device.runs.createRun(soon, runPlanOf(fitPlan(start.plan.body, 2700), soon.startsAt));
  for (const id of [later, next]) device.runs.pressRun(id, { kind: "begin" });
  expect(device.runs.openRuns().map(({ run }) => run.id)).toEqual([next, later]);
  let told = 0;
  device.runs.runStore.subscribe(() => told++);
  device.runs.pressRun(next, { kind: "hold" });
  expect(told).toBe(1);
});
