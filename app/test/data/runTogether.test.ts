import { runState } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { runDevice } from "~/test/made/device";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({}, twoMinutePlan);

const device = runDevice(start);
const { begin, settle, kept } = device;

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
  expect(device.runs.presses.unsent()).toBe(0);
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
