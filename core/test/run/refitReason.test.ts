import { isWorthOffering, refitReason } from "../../src/run/refit/refitReason";

const START = Date.parse("2026-06-01T12:00:00.000Z");

describe("why the rest should be fitted anew", () => {
  const state = { status: "under-way" as const, startsAt: START, fittedFor: START };
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
