import { fitPlan, runPlanOf, runState } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { isFollowed, type KeptRun, merged } from "~/data/runs/keptRun";
import { runDevice } from "~/test/made/device";
import { CLUB, makeMe } from "~/test/made/makeMe";
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
  expect([device.server.made, device.runs.unsentRuns(), device.runs.get(id)?.events.length]).toEqual([
    0, 0, 2,
  ]);
  jest.setSystemTime(Date.parse(start.startsAt) + 13 * 3_600_000);
  device.reopen();
  expect(device.runs.get(id)).toBeNull();
  expect(localStorage.getItem(`run:${id}`)).toBeNull();
});

it("sends a run and every press, once each and in order", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  device.runs.pressRun(id, { kind: "done" });
  await settle();
  expect(device.server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "done"]);
});

it("sends a press once it is painted, and in the background, where nothing is, soon all the same", async () => {
  const id = begin();
  await settle();
  const frames: (() => void)[] = [];
  const frame = globalThis.requestAnimationFrame;
  Object.assign(globalThis, { requestAnimationFrame: (act: () => void) => frames.push(act) });
  const before = device.server.calls;
  device.runs.pressRun(id, { kind: "begin" });
  await jest.advanceTimersByTimeAsync(100);
  expect(device.server.calls).toBe(before);
  for (const act of frames) act();
  await jest.advanceTimersByTimeAsync(50);
  expect(device.server.calls).toBeGreaterThan(before);
  await settle();
  expect(device.server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin"]);
  device.runs.pressRun(id, { kind: "done" });
  await jest.advanceTimersByTimeAsync(300);
  expect(device.server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "done"]);
  Object.assign(globalThis, { requestAnimationFrame: frame });
});

it("keeps presses while the server is away, through a reload, and sends them afterwards", async () => {
  device.server.up = false;
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  expect(device.server.runs.size).toBe(0);

  device.reopen();
  device.runs.pressRun(id, { kind: "skip" });
  device.server.up = true;
  await settle();
  expect(device.server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin", "skip"]);
});

it("stops asking once everything is there", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const before = device.server.calls;
  await settle();
  expect(device.server.calls).toBe(before);
});

it("keeps what was not sent at signing out, and sends it to its own club when its people sign in again", async () => {
  const other = "77777777-7777-4777-8777-777777777777";
  const sent = begin();
  device.runs.pressRun(sent, { kind: "begin" });
  await settle();
  device.server.up = false;
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  expect(device.runs.unsentRuns()).toBe(1);
  device.runs.forgetSentRuns();
  device.account.signedOutHere();
  device.server.up = true;
  await settle();
  expect(device.server.runs.has(id)).toBe(false);
  expect(localStorage.getItem(`run:${sent}`)).toBeNull();

  device.account.signedInAs(makeMe("owner", other));
  void device.runs.sendAll();
  await settle();
  expect(device.server.runs.has(id)).toBe(false);

  device.account.signedInAs(makeMe("assistant"));
  void device.runs.sendAll();
  await settle();
  expect(device.server.runs.get(id)?.events.map((e) => e.kind)).toEqual(["begin"]);
  expect([...device.server.clubs]).toEqual([CLUB]);
});

it("knows presses as the server has them: not those of others, nor its own that went unanswered", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const [first] = kept(id).events as { id: string }[];
  const other = "99999999-9999-4999-8999-999999999999";
  const knows = (...presses: (string | undefined)[]) => device.runs.knowsPresses(id, presses as string[]);
  expect([knows(first?.id), knows(first?.id, other), device.runs.knowsPresses(other, [other])]).toEqual([
    true,
    false,
    false,
  ]);
  device.server.losesAnswers = true;
  device.runs.pressRun(id, { kind: "hold" });
  await settle();
  const second = (kept(id).events as { id: string }[])[1];
  expect(device.server.runs.get(id)?.events).toHaveLength(2);
  expect([knows(second?.id), knows(first?.id)]).toEqual([false, true]);
});

it("tells the same as the server of a press whose time was corrected while it was on its way", async () => {
  const id = begin();
  await settle();
  device.runs.pressRun(id, { kind: "begin" });
  const send = globalThis.fetch;
  Object.assign(globalThis, {
    fetch: async (...asked: Parameters<typeof fetch>) => {
      const answer = await send(...asked);
      const about = device.runs.get(id);
      // As the clock is found to be wrong before the answer is here.
      if (about && String(asked[0]).endsWith("/events"))
        device.runs.put({ ...about, events: about.events.map((e) => ({ ...e, at: start.startsAt })) });
      return answer;
    },
  });
  await settle();
  expect(kept(id).events).toEqual(device.server.runs.get(id)?.events);
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

it("a press comes after everything that has been seen, also from a phone whose clock is a little ahead", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const theirs = device.server.runs.get(id) as Run;
  const at = new Date(Date.now() + 4000).toISOString();
  theirs.events.push({ id: "99999999-9999-4999-8999-999999999999", at, kind: "hold" });
  device.runs.adoptRun(JSON.parse(JSON.stringify(theirs)));
  device.runs.pressRun(id, { kind: "done" });
  await settle();
  const plan = theirs.plan;
  expect(runState(plan, device.server.runs.get(id)?.events ?? []).splits[0]?.outcome).toBe("done");
});

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

it("takes up what another phone has pressed, once, and sends what only this one has", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const theirs = device.server.runs.get(id) as Run;
  const other = {
    id: "99999999-9999-4999-8999-999999999999",
    at: new Date().toISOString(),
    kind: "hold" as const,
  };
  theirs.events.push(other);
  device.runs.pressRun(id, { kind: "done" });
  device.runs.adoptRun(JSON.parse(JSON.stringify(theirs)));
  device.runs.adoptRun(JSON.parse(JSON.stringify(theirs)));
  await settle();
  const kinds = (events: readonly { kind: string }[]) => events.map((e) => e.kind).sort();
  expect(kinds(device.server.runs.get(id)?.events ?? [])).toEqual(["begin", "done", "hold"]);
  expect(kinds(kept(id).events)).toEqual(["begin", "done", "hold"]);
});

it("a server in trouble for a minute loses nothing, and is told apart from no connection", async () => {
  const id = begin();
  await settle();
  device.server.troubled = true;
  device.runs.pressRun(id, { kind: "begin" });
  await jest.advanceTimersByTimeAsync(60_000);
  expect(device.runs.runStore.getState().link).toBe("troubled");
  device.server.up = false;
  await settle();
  expect(device.runs.runStore.getState().link).toBe("unreachable");
  Object.assign(device.server, { troubled: false, up: true });
  await settle();
  expect(device.runs.runStore.getState().link).toBe("reached");
  expect(device.server.runs.get(id)?.events).toHaveLength(1);
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

it("makes a run once, however many presses come after it", async () => {
  const id = begin();
  for (const kind of ["begin", "hold", "release"] as const) {
    device.runs.pressRun(id, { kind });
    await settle();
  }
  expect(device.server.made).toBe(1);
});

it("keeps a run that the server will never take, with its words, and does not ask again", async () => {
  device.server.refusesRuns = "invalid_input";
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  expect(device.runs.openRuns()).toMatchObject([{ refused: "No.", events: [{ kind: "begin" }] }]);
  const { calls } = device.server;
  await jest.advanceTimersByTimeAsync(60_000);
  expect(device.server.calls).toBe(calls);
  await jest.advanceTimersByTimeAsync(3 * 86_400_000);
  await device.runs.sendAll();
  expect(localStorage.getItem(`run:${id}`)).not.toBeNull();
});

it("what the server has stands as it has it, and what it has is not sent again", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  device.server.losesAnswers = true;
  device.runs.pressRun(id, { kind: "hold" });
  await jest.advanceTimersByTimeAsync(1000);
  const theirs = JSON.parse(JSON.stringify(device.server.runs.get(id))) as Run;
  const [begun, press] = theirs.events as [Run["events"][number], Run["events"][number]];
  press.at = new Date(Date.parse(press.at) - 7000).toISOString();
  device.runs.adoptRun(theirs);
  expect(kept(id).events).toEqual([begun, press]);
  expect(device.runs.unsentRuns()).toBe(0);
});

it("what was pressed offline by a fast clock still comes after what the server has, which stays as it is", async () => {
  const id = begin();
  device.runs.pressRun(id, { kind: "begin" });
  await settle();
  const [recorded] = device.server.runs.get(id)?.events ?? [];
  device.server.up = false;
  device.runs.pressRun(id, { kind: "done" });
  await jest.advanceTimersByTimeAsync(120_000);
  Object.assign(device.server, { up: true, behind: 180_000 });
  await settle();
  const { events } = device.server.runs.get(id) as Run;
  expect(events.map((e) => e.kind)).toEqual(["begin", "done"]);
  expect(events[0]).toEqual(recorded);
  expect(Date.parse(events[1]?.at ?? "")).toBeGreaterThan(Date.parse(recorded?.at ?? ""));
  expect(kept(id).events).toEqual(events);
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

describe("what two tabs know of one run", () => {
  const event = (n: number) => ({
    id: `99999999-9999-4999-8999-99999999999${n}`,
    at: "2026-06-01T11:00:00.000Z",
    kind: "hold" as const,
  });
  const pressed = (more: object) => ({
    ...{ events: [], created: true, recorded: [], refused: null, setAside: [], took: [] },
    ...more,
  });

  it("adds up, and what was set aside in one stays so", () => {
    const here = pressed({ events: [event(1), event(2)], recorded: [event(1).id] });
    const there = pressed({
      events: [event(2), event(3)],
      recorded: [event(3).id],
      setAside: [event(1)],
      refused: "No.",
    });
    expect(merged(here, there)).toEqual({
      events: [event(2), event(3)],
      created: true,
      recorded: [event(1).id, event(3).id],
      refused: "No.",
      setAside: [event(1)],
      took: [],
    });
    expect(merged(pressed({ took: ["a"] }), pressed({ took: ["b"] })).took).toEqual(["a", "b"]);
    expect(merged(undefined, there)).toBe(there);
    // Nothing new was pressed: it is the same list, and nothing is reckoned from it again.
    const same = pressed({ events: [event(1)] });
    expect(merged(same, pressed({ events: [event(1)], recorded: [event(1).id] })).events).toBe(same.events);
  });
});

describe("who runs it and who follows", () => {
  const take = (n: number) => ({
    id: `77777777-7777-4777-8777-77777777777${n}`,
    at: new Date(Date.parse("2026-06-01T11:00:00.000Z") + n * 1000).toISOString(),
    kind: "take" as const,
    who: "66666666-6666-4666-8666-666666666666",
  });

  it("whoever began it runs it, until somebody takes over, and again when it is taken back", () => {
    const begun = { begunHere: true, took: [], events: [] };
    expect(isFollowed(begun)).toBe(false);
    expect(isFollowed({ ...begun, begunHere: false })).toBe(true);
    expect(isFollowed({ ...begun, events: [take(1)] })).toBe(true);
    expect(isFollowed({ begunHere: false, took: [take(1).id], events: [take(1)] })).toBe(false);
    expect(isFollowed({ begunHere: true, took: [take(2).id], events: [take(2), take(1)] })).toBe(false);
  });

  it("a run of this device is its own, one of the server is followed, and taking it over makes it one's own for good", async () => {
    const id = begin();
    device.runs.pressRun(id, { kind: "begin" });
    expect(isFollowed(device.runs.get(id) as KeptRun)).toBe(false);
    await settle();
    const theirs = device.server.runs.get(id) as Run;
    device.runs.drop(id);
    device.runs.adoptRun(theirs);
    expect(isFollowed(device.runs.get(id) as KeptRun)).toBe(true);
    device.runs.takeRun(id);
    expect(isFollowed(device.runs.get(id) as KeptRun)).toBe(false);
    device.reopen();
    expect(isFollowed(device.runs.get(id) as KeptRun)).toBe(false);
    await settle();
    expect(device.server.runs.get(id)?.events.at(-1)).toMatchObject({ kind: "take", who: makeMe().id });
  });
});
