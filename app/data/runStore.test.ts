import { fitPlan, runPlanOf } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { CLUB, makeMe } from "./testing/makeMe";
import { makeStart, twoMinutePlan } from "./testing/makeStart";

const start = makeStart({}, twoMinutePlan);

/** A server that keeps runs as the real one does, and can be taken off the net. */
class FakeServer {
  up = true;
  runs = new Map<string, Run>();
  calls = 0;
  /** Clubs that were asked about. */
  clubs = new Set<string>();

  fetch = async (url: string, init: { method: string; body?: string }): Promise<Response> => {
    this.calls++;
    this.clubs.add(/\/clubs\/([^/]+)\//.exec(url)?.[1] ?? "none");
    if (!this.up) throw new TypeError("Failed to fetch");
    const sent = JSON.parse(init.body ?? "{}");
    const eventsOf = /\/runs\/([^/]+)\/events/.exec(url)?.[1];
    if (!eventsOf) {
      const { id: startId, title, venue, zone, startsAt } = start;
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
      return answer(this.runs.get(sent.id));
    }
    const run = this.runs.get(eventsOf) as Run;
    const known = new Set(run.events.map((e) => e.id));
    for (const event of sent.events) if (!known.has(event.id)) run.events.push(event);
    return answer({ recorded: sent.events.map((e: { id: string }) => e.id) });
  };
}

const answer = (data: unknown) => ({ ok: true, json: async () => data }) as Response;

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
