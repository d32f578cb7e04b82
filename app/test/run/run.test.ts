import { fitPlan, openDay, type RunEvent, runClock, runPlanOf, runState } from "@tonodrome/core";
import { type FaceModel, inkOf, isBreathing } from "~/features/run/faces/faceModel";
import { pressWords } from "~/features/run/presses/pressWords";
import { twoMinutePlan } from "~/test/made/makeStart";

const START = Date.parse("2026-06-01T12:00:00.000Z");
const context = openDay();
const plan = runPlanOf(fitPlan(twoMinutePlan, 2700, context), new Date(START).toISOString(), {
  plan: twoMinutePlan,
  context,
});
let made = 0;
const press = (kind: string, before: number, more: object = {}) =>
  ({
    id: `00000000-0000-4000-8000-${String(++made).padStart(12, "0")}`,
    at: new Date(START - before * 1000).toISOString(),
    kind,
    ...more,
  }) as RunEvent;
const ink = (before: number, ...events: RunEvent[]) => {
  const state = runState(plan, events);
  return inkOf({ state, clock: runClock(state, START - before * 1000), plan } as FaceModel);
};

describe("the ink", () => {
  it("rises with the drill, then with the wait towards the start", () => {
    const begin = press("begin", 420);
    expect(ink(430)).toBe(0);
    expect(ink(360, begin)).toBe(0.5);
    expect(ink(0, begin)).toBe(1);
    const waiting = [begin, press("done", 300)];
    expect(ink(150, ...waiting)).toBe(0.5);
    expect(ink(-20, ...waiting)).toBe(1);
    expect(ink(100, ...waiting, press("end", 120))).toBe(1);
  });

  it("breathes in the routine and in what is done at the pace of breath", () => {
    const state = runState(plan, [press("begin", 420)]);
    expect(isBreathing({ state }, null)).toBe(false);
    expect(isBreathing({ state: { ...state, status: "waiting" } }, "routine")).toBe(true);
    expect(isBreathing({ state: { ...state, status: "waiting" } }, "easy")).toBe(false);
  });
});

it("presses that can be taken back are told in words", () => {
  expect(["done", "hit", "back"].map((kind) => pressWords(press(kind, 0)))).toEqual(["done", "hit", "back"]);
  expect(pressWords(press("extend", 0, { seconds: 30 }))).toBe("30 s more");
  expect(pressWords(press("refit", 0, { line: "Skips left out." }))).toBe("plan adjusted. Skips left out.");
});
