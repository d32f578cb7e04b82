import type { RunEvent } from "@tonodrome/core";
import { movedStart, type Start } from "@tonodrome/core/api";
import fc from "fast-check";
import type { KeptRun } from "~/data/runs/keptRun";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { makeStart } from "~/test/made/makeStart";
import { cases } from "../../../core/test/made/cases";

const at = (minute: number) =>
  new Date(Date.parse("2026-06-01T12:00:00.000Z") + minute * 60_000).toISOString();
const minuteOf = (instant: string) => (Date.parse(instant) - Date.parse(at(0))) / 60_000;

/** A server with one start, as the real one moves it. */
const server = {
  truth: makeStart(),
  sent: [] as { version: number; startsAt: string; id: string; readyAt?: string; simulated?: boolean }[],
  isUp: true,
  losesAnswers: false,
  refuses: null as string | null,
  async fetch(_: string, { method, body }: { method: string; body?: string }) {
    if (!server.isUp) throw new TypeError("Failed to fetch");
    const answer = (ok: boolean, data: unknown) => ({ ok, headers: new Map(), json: async () => data });
    if (method === "GET") return answer(true, server.truth);
    const move = JSON.parse(body ?? "{}");
    server.sent.push(move);
    if (server.refuses)
      return answer(false, { code: server.refuses, message: "Not yours to move.", path: null });
    const isAgain = move.version === server.truth.version - 1 && move.startsAt === server.truth.startsAt;
    if (move.version !== server.truth.version && !isAgain)
      return answer(false, {
        ...{ code: "version_conflict", message: "Saved.", path: "version" },
        ...{ current: server.truth, by: "Bo Larch" },
      });
    if (!isAgain) server.move(minuteOf(move.startsAt));
    if (server.losesAnswers) throw new TypeError("Failed to fetch");
    return answer(true, server.truth);
  },
  move(minute: number) {
    const moved = movedStart(server.truth, Date.parse(at(minute)));
    server.truth = { ...server.truth, ...moved, version: server.truth.version + 1 };
  },
};

let data: typeof import("~/data/starts/moves") & typeof import("~/data/runs/follow");
/** Opens the application anew on the same device. */
function open(): void {
  jest.isolateModules(() => {
    data = { ...require("~/data/starts/moves"), ...require("~/data/runs/follow") };
  });
}

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  localStorage.setItem("me", JSON.stringify(makeMe()));
  Object.assign(server, { truth: makeStart({ readyAt: at(-60) }), sent: [], isUp: true });
  Object.assign(server, { losesAnswers: false, refuses: null });
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, { fetch: server.fetch });
  open();
});
afterEach(() => void jest.useRealTimers());
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

/** The start as this device last read it, and a press of so many minutes on it as it stands here. */
let read: Start;
beforeEach(() => {
  read = server.truth;
});
const here = () => minuteOf(data.withMove(read).startsAt);
function press(minutes: number): void {
  data.moveStart(CLUB, data.withMove(read), at(here() + minutes));
}

it("counts at once, adds up, and is sent as one", async () => {
  const ids = new Set<string | undefined>();
  for (let i = 0; i < 4; i++) {
    press(1);
    ids.add(data.moves.keys().map((key) => data.moves.get(key)?.id)[0]);
  }
  expect([here(), server.sent]).toEqual([4, []]);
  // It is one press to the log, under one id.
  expect(ids.size).toBe(1);
  await pass(600);
  expect(server.sent.map((m) => m.id)).toEqual([...ids]);
  expect(server.sent.map((m) => minuteOf(m.startsAt))).toEqual([4]);
  expect(minuteOf(server.truth.startsAt)).toBe(4);
  expect(data.moves.keys()).toEqual([]);
});

it("what is pressed while the first is on its way is sent next, upon what came of that", async () => {
  const fetch = server.fetch;
  let go = () => {};
  const held = new Promise<void>((done) => (go = done));
  Object.assign(globalThis, {
    fetch: async (...asked: Parameters<typeof fetch>) => {
      const answer = await fetch(...asked);
      if (server.sent.length === 1) await held;
      return answer;
    },
  });
  press(5);
  await pass(600);
  press(5);
  press(1);
  expect(here()).toBe(11);
  go();
  await pass(2_000);
  expect(server.sent.map((m) => [m.version, minuteOf(m.startsAt)])).toEqual([
    [1, 5],
    [2, 11],
  ]);
  expect(new Set(server.sent.map((m) => m.id)).size).toBe(2);
});

it("holds where something else of the start was changed, and gives way, in words, where somebody moved it", async () => {
  server.truth = { ...server.truth, version: 2, title: "Other" };
  press(5);
  await pass(2_000);
  expect(minuteOf(server.truth.startsAt)).toBe(5);
  read = { ...server.truth };
  server.move(9);
  press(1);
  expect(here()).toBe(6);
  await pass(2_000);
  expect(minuteOf(server.truth.startsAt)).toBe(9);
  expect(data.notMoved.getState().get(read.id)).toBe("Not moved. Bo Larch moved it meanwhile.");
  expect(data.moves.keys()).toEqual([]);
});

it("without a network it is kept through a reload, and sent once, also where an answer was lost", async () => {
  server.isUp = false;
  press(5);
  await pass(10_000);
  open();
  expect(here()).toBe(5);
  Object.assign(server, { isUp: true, losesAnswers: true });
  await Promise.all([data.moves.sendAll(), pass(2_000)]);
  server.losesAnswers = false;
  await pass(10_000);
  expect(minuteOf(server.truth.startsAt)).toBe(5);
  expect(new Set(server.sent.map((m) => m.id)).size).toBe(1);
  expect(server.truth.version).toBe(2);
});

it("presses after a lost answer count upon what the server had heard, and one that undoes it too", async () => {
  for (const [second, stands] of [
    [-1, -2],
    [1, 0],
  ] as const) {
    server.losesAnswers = true;
    read = server.truth;
    const began = here();
    press(-1);
    await pass(700);
    press(second);
    await pass(700);
    server.losesAnswers = false;
    await pass(20_000);
    expect(minuteOf(server.truth.startsAt) - began).toBe(stands);
    expect(data.notMoved.getState().get(read.id)).toBeUndefined();
    expect(data.moves.keys()).toEqual([]);
  }
  expect(new Set(server.sent.map((m) => `${m.id} ${m.startsAt}`)).size).toBe(
    new Set(server.sent.map((m) => m.id)).size,
  );
});

it("is taken back with the time that the athlete had, and is none where it is refused", async () => {
  press(-30);
  await pass(1_000);
  data.moveStart(CLUB, server.truth, read.startsAt, { readyAt: read.readyAt });
  await pass(1_000);
  expect(server.sent.at(-1)).toMatchObject({ startsAt: read.startsAt, readyAt: read.readyAt });
  server.refuses = "forbidden";
  read = server.truth;
  press(5);
  await pass(1_000);
  expect([here(), data.notMoved.getState().get(read.id)]).toEqual([0, "Not moved. Not yours to move."]);
});

describe("a run goes by where its start is", () => {
  const run = { id: "run", startId: server.truth.id, plan: { drills: [], waitSeconds: 60, startsAt: at(0) } };
  let heard: KeptRun["heard"];
  const logged = (minute: number, when: string, id = `${minute}`): RunEvent => ({
    ...{ id, at: when, kind: "start-moved", startsAt: at(minute) },
  });
  /** Where a run with such a log has its start. */
  function follow(
    events: RunEvent[],
    start: Pick<Start, "startsAt"> | undefined,
    readAt = Date.now(),
  ): number {
    const kept = { run, events, heard } as unknown as KeptRun;
    heard = data.heardMove(kept, start, readAt);
    return minuteOf(heard?.startsAt ?? data.lastMove(events)?.startsAt ?? run.plan.startsAt);
  }
  beforeEach(() => {
    heard = null;
    jest.setSystemTime(Date.parse(at(-30)));
  });

  it("as the start was read, from when that was first heard, until its log says so too", () => {
    expect(follow([], { startsAt: at(0) })).toBe(0);
    expect(follow([], { startsAt: at(5) })).toBe(5);
    const first = heard;
    jest.setSystemTime(Date.parse(at(-29)));
    expect(follow([], { startsAt: at(5) })).toBe(5);
    expect(heard).toBe(first);
    expect([follow([logged(5, at(-30))], { startsAt: at(5) }), heard]).toEqual([5, null]);
  });

  it("as its log says, where that is newer than the reading of the start", () => {
    expect(follow([logged(9, at(-31))], { startsAt: at(5) }, Date.parse(at(-40)))).toBe(9);
    expect(follow([logged(9, at(-31))], { startsAt: at(5) }, Date.parse(at(-30)))).toBe(5);
    expect(follow([logged(9, at(-31))], undefined)).toBe(9);
  });

  it("as it is being moved on this device, under the press's own id, until its log has that", () => {
    press(5);
    expect(follow([], read)).toBe(5);
    const { id } = data.moves.get(read.id) as { id: string };
    expect(heard?.id).toBe(id);
    expect([follow([logged(5, at(-30), id)], read), heard]).toEqual([5, null]);
  });

  it("in the end run and start agree, whatever happens, and each move stands in its log once", async () => {
    const minute = fc.integer({ min: 1, max: 4 });
    const step = fc.oneof(
      minute.map((m) => ["here", m] as const),
      minute.map((m) => ["there", m] as const),
      fc.constantFrom(
        ["read", 0] as const,
        ["pass", 700] as const,
        ["away", 0] as const,
        ["back", 0] as const,
      ),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 12 }), async (steps) => {
        localStorage.clear();
        localStorage.setItem("me", JSON.stringify(makeMe()));
        Object.assign(server, { truth: makeStart({ readyAt: at(-60) }), sent: [], isUp: true });
        open();
        read = server.truth;
        heard = null;
        const log: RunEvent[] = [];
        const note = () => {
          const last = log.at(-1);
          const is = last?.kind === "start-moved" ? last.startsAt : at(0);
          if (is !== server.truth.startsAt)
            log.push(logged(minuteOf(server.truth.startsAt), new Date().toISOString(), `${log.length}`));
        };
        for (const [what, how] of steps) {
          if (what === "here") press(how);
          if (what === "there") server.move(how);
          if (what === "read") read = server.truth;
          if (what === "away") server.isUp = false;
          if (what === "back") server.isUp = true;
          await pass(what === "pass" ? how : 10);
          note();
          follow(log, read);
        }
        server.isUp = true;
        for (let i = 0; i < 4; i++) {
          await pass(4_000);
          note();
          read = server.truth;
        }
        expect(data.moves.keys()).toEqual([]);
        expect(follow(log, read)).toBe(minuteOf(server.truth.startsAt));
        expect(heard).toBeNull();
      }),
      cases(60),
    );
  });
});
