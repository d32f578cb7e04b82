import type { Run } from "@tonodrome/core/api";
import { isFollowed, type KeptRun, merged } from "~/data/runs/keptRun";
import { runDevice } from "~/test/made/device";
import { makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const device = runDevice(makeStart({}, twoMinutePlan));
const { begin, settle } = device;

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
    // Nothing new was pressed: it is the same list, and nothing is computed from it again.
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
