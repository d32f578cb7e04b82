import {
  fitPlan,
  isWorthOffering,
  openDay,
  type RunEvent,
  refitReason,
  runClock,
  runPlanOf,
  runState,
} from "@tonodrome/core";
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

describe("why the rest should be fitted anew", () => {
  const state = runState(plan, [press("begin", 420)]);
  const reason = (more: object, ahead = 0, minutes = 2) => refitReason({ ...state, ...more }, ahead, minutes);

  it("the start is another than it was fitted for", () => {
    expect(reason({})).toBeNull();
    expect(reason({ startsAt: START + 10_000 })).toBeNull();
    expect(reason({ startsAt: START + 300_000 })?.words).toBe("The start is 5 min later");
    expect(reason({ startsAt: START - 25_000 })?.words).toBe("The start is a little earlier");
    // Never asked of the pace when the coach wishes none, always of the start.
    expect(reason({ startsAt: START + 300_000 }, 0, 0)).not.toBeNull();
  });

  it("ahead or behind by what the coach wishes, again only when it has become worse", () => {
    expect(reason({}, -119)).toBeNull();
    expect(reason({}, -150)).toEqual({ key: "pace -1", words: "2 min behind" });
    expect(reason({}, -200)?.key).toBe("pace -1");
    expect(reason({}, -250)?.key).toBe("pace -2");
    expect(reason({}, 130)?.words).toBe("2 min ahead");
    expect(reason({}, -9999, 0)).toBeNull();
  });

  it("not before it begins, nor when it is over", () => {
    expect(reason({ status: "ready", startsAt: START + 300_000 })).toBeNull();
    expect(reason({ status: "ended", startsAt: START + 300_000 })).toBeNull();
    expect(reason({ status: "waiting" }, -500)).toBeNull();
  });
});

it("a re-fit that only changes waits is offered when the start moves, not for the pace", () => {
  const waits = { line: "5 min more to wait.", state: "fits" as const, changesDrills: false };
  expect(isWorthOffering(waits, "pace 2")).toBe(false);
  expect(isWorthOffering(waits, "start 17")).toBe(true);
  expect(isWorthOffering({ ...waits, line: "" }, "start 17")).toBe(false);
  expect(isWorthOffering({ ...waits, changesDrills: true }, "pace -1")).toBe(true);
  expect(isWorthOffering({ ...waits, line: "", state: "short" }, "pace -1")).toBe(true);
});

it("presses that can be taken back are told in words", () => {
  expect(["done", "hit", "back"].map((kind) => pressWords(press(kind, 0)))).toEqual(["done", "hit", "back"]);
  expect(pressWords(press("extend", 0, { seconds: 30 }))).toBe("30 s more");
  expect(pressWords(press("refit", 0, { line: "Skips left out." }))).toBe("re-fit. Skips left out.");
});
