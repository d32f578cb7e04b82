import { fitPlan, type RunEvent, runPlanOf, runState } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { CLUB, makeMe } from "./testing/makeMe";
import { makeStart, twoMinutePlan } from "./testing/makeStart";

const start = makeStart({}, twoMinutePlan);

/** A server that keeps runs as the real one does, and can be taken off the net. */
class FakeServer {
  up = true;
  /** Answers that something went wrong. */
  troubled = false;
  /** Takes what it is sent, and its answer is lost on the way. */
  losesAnswers = false;
  /** Keeps what comes in another order than it was pressed in. */
  reorders = false;
  runs = new Map<string, Run>();
  calls = 0;
  /** Which press it refuses, and with what. */
  refuses: ((event: { kind: string; at: string }) => string | null) | null = null;
  /** Whether its log is full. */
  isFull = false;
  /** How far its clock is behind this device's, milliseconds. */
  behind = 0;
  /** Clubs that were asked about. */
  clubs = new Set<string>();

  fetch = async (url: string, init: { method: string; body?: string }): Promise<Response> => {
    this.calls++;
    if (this.up && url === "/health") return this.answer({ ok: true });
    this.clubs.add(/\/clubs\/([^/]+)\//.exec(url)?.[1] ?? "none");
    if (!this.up) throw new TypeError("Failed to fetch");
    if (this.troubled)
      return { ok: false, json: async () => ({ code: "internal", message: "Oh", path: null }) } as Response;
    const sent = JSON.parse(init.body ?? "{}");
    const eventsOf = /\/runs\/([^/]+)\/events/.exec(url)?.[1];
    if (!eventsOf) {
      const { id: startId, title, venue, zone, startsAt } = start;
      // Sent twice is made once; the first one stands.
      const made = this.runs.get(sent.id);
      if (made) return this.answer(made);
      this.runs.set(sent.id, {
        id: sent.id,
        startId,
        title,
        venue,
        zone,
        startsAt,
        athleteName: "Ada",
        plan: sent.plan,
        events: [],
      });
      return this.answer(this.runs.get(sent.id));
    }
    const run = this.runs.get(eventsOf) as Run;
    if (this.isFull) return this.refusal("full", null);
    const refused = sent.events.findIndex((e: RunEvent) => this.refuses?.(e));
    if (refused >= 0)
      return this.refusal("invalid_input", `events.${refused}.${this.refuses?.(sent.events[refused])}`);
    const known = new Set(run.events.map((e) => e.id));
    const news = sent.events.filter((e: { id: string }) => !known.has(e.id));
    run.events.push(...(this.reorders ? news.reverse() : news));
    if (this.losesAnswers) throw new TypeError("Failed to fetch");
    return this.answer({ recorded: sent.events.map((e: { id: string }) => e.id) });
  };

  private refusal(code: string, path: string | null): Response {
    const headers = new Map([["date", new Date(Date.now() - this.behind).toUTCString()]]);
    const body = { code, message: "No.", path };
    return { ok: false, headers, json: async () => body } as unknown as Response;
  }

  private answer(data: unknown): Response {
    const headers = new Map([["date", new Date(Date.now() - this.behind).toUTCString()]]);
    return { ok: true, headers, json: async () => data } as unknown as Response;
  }
}

let server: FakeServer;
let store: typeof import("./runStore");
let account: typeof import("./account");

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  localStorage.setItem("me", JSON.stringify(makeMe()));
  server = new FakeServer();
  Object.assign(globalThis, { fetch: server.fetch });
  Object.assign(AbortSignal, { timeout: () => undefined });
  load();
});
afterEach(() => jest.useRealTimers());

/** Opens the application anew on the same device. */
function load(): void {
  jest.isolateModules(() => {
    account = require("./account");
    store = require("./runStore");
  });
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

describe("one press that the server refuses loses no run:", () => {
  const kept = (id: string) => JSON.parse(localStorage.getItem(`run-presses:${id}`) ?? "");
  const kinds = (id: string) => server.runs.get(id)?.events.map((e) => e.kind);

  it("it is set aside, and those before and after it are recorded", async () => {
    const id = begin();
    await settle();
    server.refuses = (e) => (e.kind === "hold" ? "kind" : null);
    for (const kind of ["begin", "hold", "done", "skip"] as const) store.pressRun(id, { kind });
    await settle();
    expect(kinds(id)).toEqual(["begin", "done", "skip"]);
    expect(kept(id).setAside.map((e: RunEvent) => e.kind)).toEqual(["hold"]);
    // It does not count here either: phone and server tell the same.
    expect(kept(id).events.map((e: RunEvent) => e.kind)).toEqual(["begin", "done", "skip"]);
    expect(store.unsentRuns()).toBe(0);
    load();
    await settle();
    expect(kept(id).setAside).toHaveLength(1);
    expect(store.openRuns()[0]).toMatchObject({ refused: null });
  });

  it("one that is found early is stamped by the right time, once, and recorded", async () => {
    const id = begin();
    await settle();
    const latest = Date.now() + 30_000;
    server.refuses = (e) => (Date.parse(e.at) > latest ? "at" : null);
    const early = [
      {
        id: "99999999-9999-4999-8999-999999999991",
        at: new Date(Date.now() + 120_000).toISOString(),
        kind: "begin",
      },
    ];
    // As a page of an earlier release left it.
    localStorage.setItem(`run-presses:${id}`, JSON.stringify({ ...kept(id), events: early }));
    load();
    void store.sendAll();
    await settle();
    expect(kinds(id)).toEqual(["begin"]);
    expect(Date.parse(server.runs.get(id)?.events[0]?.at ?? "")).toBeLessThanOrEqual(latest);
    expect(kept(id).setAside).toEqual([]);
  });

  it("of a run that is full all that are new are set aside, and nothing is asked again and again", async () => {
    const id = begin();
    store.pressRun(id, { kind: "begin" });
    await settle();
    server.isFull = true;
    store.pressRun(id, { kind: "done" });
    await settle();
    const calls = server.calls;
    await settle();
    expect(server.calls).toBe(calls);
    expect(kept(id).setAside.map((e: RunEvent) => e.kind)).toEqual(["done"]);
    expect(kinds(id)).toEqual(["begin"]);
  });
});

it("never orders its own presses after one of another century", async () => {
  const id = begin();
  await settle();
  const theirs = server.runs.get(id) as Run;
  const at = "2099-01-01T00:00:00.000Z";
  theirs.events.push({ id: "99999999-9999-4999-8999-999999999999", at, kind: "begin" });
  store.adoptRun(JSON.parse(JSON.stringify(theirs)));
  store.pressRun(id, { kind: "hold" });
  await settle();
  const own = server.runs.get(id)?.events.find((e) => e.kind === "hold");
  expect(Math.abs(Date.parse(own?.at ?? "") - Date.now())).toBeLessThan(60_000);
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
