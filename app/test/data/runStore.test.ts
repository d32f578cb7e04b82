import { fitPlan, runPlanOf, runState } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { freshDevice, openApplication } from "~/test/made/device";
import type { FakeRuns } from "~/test/made/fakeRuns";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({}, twoMinutePlan);

let server: FakeRuns;
let store: ReturnType<typeof openApplication>["runs"];
let account: ReturnType<typeof openApplication>["account"];

beforeEach(() => {
  server = freshDevice(start);
  load();
});
afterEach(() => jest.useRealTimers());

/** Opens the application anew on the same device. */
function load(): void {
  ({ account, runs: store } = openApplication());
}

const settle = () => jest.advanceTimersByTimeAsync(10_000);
const begin = () => store.createRun(start, runPlanOf(fitPlan(start.plan.body, 2700), start.startsAt));

it("sends a run and every press, once each and in order", async () => {
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  store.pressRun(id, { kind: "done" });
  await settle();
  expect(server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "done"]);
});

it("keeps presses while the server is away, through a reload, and sends them afterwards", async () => {
  server.up = false;
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  expect(server.runs.size).toBe(0);

  load();
  store.pressRun(id, { kind: "skip" });
  server.up = true;
  await settle();
  expect(server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "skip"]);
});

it("stops asking once everything is there", async () => {
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  const before = server.calls;
  await settle();
  expect(server.calls).toBe(before);
});

it("keeps what was not sent at signing out, and sends it to its own club when its people sign in again", async () => {
  const other = "77777777-7777-4777-8777-777777777777";
  const sent = begin();
  await settle();
  server.up = false;
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  expect(store.unsentRuns()).toBe(1);
  store.forgetSentRuns();
  account.signedOutHere();
  server.up = true;
  await settle();
  expect(server.runs.has(id)).toBe(false);
  expect(localStorage.getItem(`run:${sent}`)).toBeNull();

  account.signedInAs(makeMe("owner", other));
  void store.sendAll();
  await settle();
  expect(server.runs.has(id)).toBe(false);

  account.signedInAs(makeMe("assistant"));
  void store.sendAll();
  await settle();
  expect(server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin"]);
  expect([...server.clubs]).toEqual([CLUB]);
});

it("two tabs on one run: nothing that was pressed in either is written over by the other", async () => {
  const id = begin();
  await settle();
  const first = store;
  load();
  const second = store;
  first.pressRun(id, { kind: "begin" });
  second.pressRun(id, { kind: "hold" });
  first.pressRun(id, { kind: "release" });
  await settle();
  const kinds = JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "").events.map(
    (e: { kind: string }) => e.kind,
  );
  expect(kinds.sort()).toEqual(["begin", "hold", "release"]);
  expect(server.runs.get(id)?.events).toHaveLength(3);
});

it("goes on with a run that an earlier version kept under one key", async () => {
  server.up = false;
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  const old = {
    ...JSON.parse(localStorage.getItem(`run:${id}`) ?? ""),
    ...JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? ""),
  };
  localStorage.setItem(`run:${id}`, JSON.stringify(old));
  localStorage.removeItem(`run-presses:${id}`);
  load();
  server.up = true;
  store.pressRun(id, { kind: "done" });
  await settle();
  expect(server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "done"]);
});

it.each([600_000, -600_000])(
  "what was pressed offline by a clock that is wrong by %d ms is stamped anew before it is sent, and the run goes on",
  async (behind) => {
    Object.assign(server, { up: false, behind });
    const id = begin();
    const began = Date.now() - behind;
    for (const kind of ["begin", "hold", "release"] as const) {
      store.pressRun(id, { kind });
      await settle();
    }
    server.up = true;
    await settle();
    store.pressRun(id, { kind: "done" });
    await settle();
    const events = server.runs.get(id)?.events ?? [];
    expect(events.map((e) => e.kind)).toEqual(["begin", "hold", "release", "done"]);
    const seconds = events.map((e) => (Date.parse(e.at) - began) / 1000);
    for (const [i, about] of [0, 10, 20, 40].entries())
      expect(Math.abs((seconds[i] ?? Number.NaN) - about)).toBeLessThan(5);
    // This device tells the same as the server.
    expect(JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "").events).toEqual(events);
  },
);

it("a press comes after everything that has been seen, also from a phone whose clock is a little ahead", async () => {
  const id = begin();
  await settle();
  const theirs = server.runs.get(id) as Run;
  const at = new Date(Date.now() + 4000).toISOString();
  theirs.events.push({ id: "99999999-9999-4999-8999-999999999999", at, kind: "begin" });
  store.adoptRun(JSON.parse(JSON.stringify(theirs)));
  store.pressRun(id, { kind: "done" });
  await settle();
  const plan = theirs.plan;
  expect(runState(plan, server.runs.get(id)?.events ?? []).splits[0]?.outcome).toBe("done");
});

it("takes a run that nobody ended for over after half a day, and frees the device of it once the server has it", async () => {
  jest.setSystemTime(Date.parse(start.startsAt));
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  const open = () => store.openRuns().map(({ run }) => run.id);
  expect(open()).toEqual([id]);
  await jest.advanceTimersByTimeAsync(12 * 3_600_000);
  expect(open()).toEqual([]);
  await store.sendAll();
  expect(localStorage.getItem(`run:${id}`)).toBeNull();
  expect(server.runs.get(id)?.events).toHaveLength(1);
});

it("is not gone back to from a start that was given to another athlete since", async () => {
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  expect(store.openRunOf(start)).toBe(id);
  const given = { ...start, athlete: { id: "88888888-8888-4888-8888-888888888888", name: "Bo" } };
  expect(store.openRunOf(given)).toBeNull();
  load();
  expect(store.openRunOf(start)).toBe(id);
  expect(store.openRunOf(given)).toBeNull();
});

it("takes up what another phone has pressed, once, and sends what only this one has", async () => {
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  const theirs = server.runs.get(id) as Run;
  const other = {
    id: "99999999-9999-4999-8999-999999999999",
    at: new Date().toISOString(),
    kind: "hold" as const,
  };
  theirs.events.push(other);
  store.pressRun(id, { kind: "done" });
  store.adoptRun(JSON.parse(JSON.stringify(theirs)));
  store.adoptRun(JSON.parse(JSON.stringify(theirs)));
  await settle();
  const kinds = (events: readonly { kind: string }[]) => events.map((e) => e.kind).sort();
  expect(kinds(server.runs.get(id)?.events ?? [])).toEqual(["begin", "done", "hold"]);
  expect(kinds(JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "").events)).toEqual([
    "begin",
    "done",
    "hold",
  ]);
});

it("a server in trouble for a minute loses nothing, and is told apart from no connection", async () => {
  const id = begin();
  await settle();
  server.troubled = true;
  store.pressRun(id, { kind: "begin" });
  await jest.advanceTimersByTimeAsync(60_000);
  expect(store.linkNow()).toBe("troubled");
  server.up = false;
  await settle();
  expect(store.linkNow()).toBe("unreachable");
  Object.assign(server, { troubled: false, up: true });
  await settle();
  expect(store.linkNow()).toBe("reached");
  expect(server.runs.get(id)?.events).toHaveLength(1);
});

it("goes on without room on the device, and says so", async () => {
  const full = jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  const id = begin();
  store.pressRun(id, { kind: "begin" });
  await settle();
  expect(store.canKeep()).toBe(false);
  expect(server.runs.get(id)?.events).toHaveLength(1);
  full.mockRestore();
  store.pressRun(id, { kind: "hold" });
  await settle();
  expect(store.canKeep()).toBe(true);
});

/** Runs in the generated test, so many at a time. */
const BATCHES = 20;
const TOGETHER = 50;

it("a thousand runs, pressed at random, offline at times, sent twice and out of order: both sides agree on every one", async () => {
  let seed = 20_261_126;
  const chance = () => {
    seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31;
    return seed / 2 ** 31;
  };
  const any = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)] as T;
  let pressed = 0;
  for (let batch = 0; batch < BATCHES; batch++) {
    const ids = Array.from({ length: TOGETHER }, begin);
    const made = new Map(ids.map((id) => [id, 0]));
    for (const id of ids) {
      store.pressRun(id, { kind: "begin" });
      made.set(id, 1);
    }
    for (let spell = 0; spell < 6; spell++) {
      server.up = chance() > 0.3;
      server.losesAnswers = chance() < 0.3;
      server.reorders = chance() < 0.5;
      for (let n = 0; n < TOGETHER * 2; n++) {
        const id = any(ids);
        store.pressRun(id, anyPress(chance));
        made.set(id, (made.get(id) ?? 0) + 1);
        pressed++;
      }
      await jest.advanceTimersByTimeAsync(Math.floor(chance() * 5000));
      // The phone's browser is killed and opened again.
      if (chance() < 0.3) load();
    }
    Object.assign(server, { up: true, losesAnswers: false, reorders: false });
    void store.sendAll();
    await jest.advanceTimersByTimeAsync(60_000);
    for (const id of ids) {
      const { run } = JSON.parse(localStorage.getItem(`run:${id}`) ?? "");
      const here = JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "");
      const there = server.runs.get(id) as Run;
      expect(there.events).toHaveLength(made.get(id) ?? 0);
      expect(new Set(there.events.map((e) => e.id)).size).toBe(there.events.length);
      expect(runState(there.plan, there.events)).toEqual(runState(run.plan, here.events));
      expect(here.recorded).toHaveLength(here.events.length);
      localStorage.removeItem(`run:${id}`);
    }
    server.runs.clear();
    load();
  }
  expect(pressed).toBe(BATCHES * TOGETHER * 2 * 6);
}, 120_000);

function anyPress(chance: () => number): Parameters<typeof store.pressRun>[1] {
  const startsAt = new Date(Date.parse(start.startsAt) + Math.floor(chance() * 600) * 1000).toISOString();
  const presses = [
    { kind: "done" },
    { kind: "skip" },
    { kind: "extend", seconds: 30 },
    { kind: "hold" },
    { kind: "release" },
    { kind: "back" },
    { kind: "hit" },
    { kind: "start-moved", startsAt },
  ] as const;
  return presses[Math.floor(chance() * presses.length)] as Parameters<typeof store.pressRun>[1];
}
