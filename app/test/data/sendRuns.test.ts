import { runDevice } from "~/test/made/device";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const device = runDevice(makeStart({}, twoMinutePlan));
const { begin, settle, kept } = device;

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
  expect(device.runs.presses.unsent()).toBe(1);
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

it("a server in trouble for a minute loses nothing, and is told apart from no connection", async () => {
  const id = begin();
  await settle();
  device.server.troubled = true;
  device.runs.pressRun(id, { kind: "begin" });
  await jest.advanceTimersByTimeAsync(60_000);
  expect(device.runs.runStore.getState().link).toBe("troubled");
  device.server.up = false;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(device.runs.runStore.getState().link).toBe("unreachable");
  Object.assign(device.server, { troubled: false, up: true });
  await settle();
  expect(device.runs.runStore.getState().link).toBe("reached");
  expect(device.server.runs.get(id)?.events).toHaveLength(1);
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
