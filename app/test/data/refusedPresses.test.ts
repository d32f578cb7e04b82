import type { RunEvent } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { runDevice } from "~/test/made/device";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({}, twoMinutePlan);

const device = runDevice(start);
const { begin, settle, kept } = device;

describe("one press that the server refuses loses no run:", () => {
  const kinds = (id: string) => device.server.runs.get(id)?.events.map((e) => e.kind);

  it("it is set aside, and those before and after it are recorded", async () => {
    const id = begin();
    await settle();
    device.server.refuses = (e) => (e.kind === "hold" ? "kind" : null);
    for (const kind of ["begin", "hold", "done", "skip"] as const) device.runs.pressRun(id, { kind });
    await settle();
    expect(kinds(id)).toEqual(["begin", "done", "skip"]);
    expect(kept(id).setAside.map((e: RunEvent) => e.kind)).toEqual(["hold"]);
    // It does not count here either: phone and server tell the same.
    expect(kept(id).events.map((e: RunEvent) => e.kind)).toEqual(["begin", "done", "skip"]);
    expect(device.runs.presses.unsent()).toBe(0);
    device.reopen();
    await settle();
    expect(kept(id).setAside).toHaveLength(1);
    expect(device.runs.openRuns()[0]).toMatchObject({ refused: null });
  });

  it("one that is found early is stamped by the right time, once, and recorded", async () => {
    const id = begin();
    await settle();
    const latest = Date.now() + 30_000;
    device.server.refuses = (e) => (Date.parse(e.at) > latest ? "at" : null);
    const early = [
      {
        id: "99999999-9999-4999-8999-999999999991",
        at: new Date(Date.now() + 120_000).toISOString(),
        kind: "begin",
      },
    ];
    // As a page of an earlier release left it.
    localStorage.setItem(`run-presses:${id}`, JSON.stringify({ ...kept(id), events: early }));
    device.reopen();
    void device.runs.sendAll();
    await settle();
    expect(kinds(id)).toEqual(["begin"]);
    expect(Date.parse(device.server.runs.get(id)?.events[0]?.at ?? "")).toBeLessThanOrEqual(latest);
    expect(kept(id).setAside).toEqual([]);
  });

  it("one that is found early again and again is set aside, and the next is recorded", async () => {
    const id = begin();
    await settle();
    device.server.refuses = (e) => (e.kind === "hold" ? "at" : null);
    for (const kind of ["begin", "hold", "done"] as const) device.runs.pressRun(id, { kind });
    await settle();
    expect(kinds(id)).toEqual(["begin", "done"]);
    expect(kept(id).setAside.map((e: RunEvent) => e.kind)).toEqual(["hold"]);
  });

  it("of a run that is full all that are new are set aside, and nothing is asked again and again", async () => {
    const id = begin();
    device.runs.pressRun(id, { kind: "begin" });
    await settle();
    device.server.isFull = true;
    device.runs.pressRun(id, { kind: "done" });
    await settle();
    const calls = device.server.calls;
    await settle();
    expect(device.server.calls).toBe(calls);
    expect(kept(id).setAside.map((e: RunEvent) => e.kind)).toEqual(["done"]);
    expect(kinds(id)).toEqual(["begin"]);
  });
});

it("never orders its own presses after one of another century", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const theirs = device.server.runs.get(id) as Run;
  const at = "2099-01-01T00:00:00.000Z";
  theirs.events.push({ id: "99999999-9999-4999-8999-999999999999", at, kind: "release" });
  device.runs.adoptRun(JSON.parse(JSON.stringify(theirs)));
  device.runs.pressRun(id, { kind: "hold" });
  await settle();
  const own = device.server.runs.get(id)?.events.find((e) => e.kind === "hold");
  expect(Math.abs(Date.parse(own?.at ?? "") - Date.now())).toBeLessThan(60_000);
});
