import { aboutIn, pressedIn } from "~/data/runs/keptRun";
import { runDevice } from "~/test/made/device";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({}, twoMinutePlan);
const device = runDevice(start);

it("takes of what was kept only what a list can go by, and adds what was not kept then", () => {
  const run = { id: "r", startsAt: start.startsAt, plan: {} };
  expect(aboutIn({ clubId: "c", run })).toMatchObject({ clubId: "c", begunHere: true });
  expect(aboutIn({ clubId: "c", run, begunHere: false })?.begunHere).toBe(false);
  for (const odd of [null, 5, {}, { clubId: 5, run }, { clubId: "c" }, { clubId: "c", run: { id: "r" } }])
    expect(aboutIn(odd)).toBeNull();
  const event = { id: "e", kind: "begin", at: start.startsAt };
  const pressed = { events: [event], created: false, recorded: ["e"], refused: null };
  expect(pressedIn(pressed)).toEqual({ ...pressed, setAside: [], took: [] });
  for (const odd of [
    null,
    { ...pressed, events: [{ id: "e" }] },
    { ...pressed, recorded: [5] },
    { ...pressed, created: "yes" },
    { ...pressed, refused: 5 },
    { ...pressed, took: "x" },
  ])
    expect(pressedIn(odd)).toBeNull();
});

it("is looked at closely before it is run: what cannot be run is not shown, and stays on the device", () => {
  jest.setSystemTime(Date.parse(start.startsAt) - 600_000);
  device.reopen();
  const good = device.begin();
  const bad = "99999999-9999-4999-8999-999999999999";
  const kept = JSON.parse(localStorage.getItem(`run:${good}`) ?? "null");
  localStorage.setItem(
    `run:${bad}`,
    JSON.stringify({ ...kept, run: { ...kept.run, id: bad, plan: { drills: 5 } } }),
  );
  localStorage.setItem(`run-presses:${bad}`, localStorage.getItem(`run-presses:${good}`) ?? "");
  device.reopen();
  expect(device.runs.get(bad)).not.toBeNull();
  device.runs.checkKeptRuns();
  expect([device.runs.get(bad), localStorage.getItem(`run:${bad}`) !== null]).toEqual([null, true]);
  expect(device.runs.get(good)?.run.plan.drills).toHaveLength(1);
});
