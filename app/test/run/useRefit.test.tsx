import { act, renderHook } from "@testing-library/react-native";
import { fitPlan, openDay, type RunEvent, type RunState, runPlanOf, runState } from "@tonodrome/core";
import { refitRun } from "@tonodrome/core/fitting";
import type { FitAsk } from "~/features/fit/fitWorker";
import type { RunSettings } from "~/features/run/device/runSettings";
import { useRefit } from "~/features/run/refit/useRefit";
import { twoMinutePlan } from "~/test/made/makeStart";

const mockAsked: {
  ask: Extract<FitAsk, { kind: "refit" }>;
  onAnswer: (refit: unknown) => void;
  onFailure: (sentence: string) => void;
  calledOff: boolean;
}[] = [];
jest.mock("~/features/fit/askFit", () => ({
  askFit: (ask: never, told: Pick<(typeof mockAsked)[number], "onAnswer" | "onFailure">) => {
    const asked = { ask, ...told, calledOff: false };
    mockAsked.push(asked);
    return () => {
      asked.calledOff = true;
    };
  },
}));

const START = Date.parse("2026-06-01T12:00:00.000Z");
const at = (second: number) => new Date(START - 420_000 + second * 1000).toISOString();
const [laps] = twoMinutePlan.items;
const items = [1, 2].map((n) => ({
  ...laps,
  id: `11111111-1111-4111-8111-11111111111${n}`,
  name: `Laps ${n}`,
}));
const plan = { ...twoMinutePlan, items: items as typeof twoMinutePlan.items };
const run = runPlanOf(fitPlan(plan, 420), new Date(START).toISOString(), { plan, context: openDay() });
const begun: RunEvent = { id: "99999999-9999-4999-8999-999999999991", at: at(0), kind: "begin" };
const moved = (second: number): RunEvent => ({
  id: `99999999-9999-4999-8999-9999999992${String(second).padStart(2, "0")}`,
  at: at(second),
  kind: "start-moved",
  startsAt: new Date(START - 150_000).toISOString(),
});
const settings = { refitMinutes: 2 } as RunSettings;
const state = (...events: RunEvent[]) => runState(run, [begun, ...events]);

beforeEach(() => {
  mockAsked.length = 0;
  jest.useFakeTimers({ now: Date.parse(at(10)) });
});

/** Real time again before what was drawn is taken down. */
describe("the rest of a run", () => {
  afterEach(() => void jest.useRealTimers());
  const hook = () =>
    renderHook(({ now, ahead }: { now: RunState; ahead: number }) => useRefit(run, now, ahead, settings), {
      initialProps: { now: state(), ahead: 0 },
    });
  const answer = () =>
    act(() => {
      const asked = mockAsked.at(-1);
      if (asked) asked.onAnswer(refitRun(asked.ask.run, asked.ask.state, asked.ask.now));
    });

  it("is fitted anew when the start has moved, and offered with the reason", () => {
    const { result, rerender } = hook();
    expect([mockAsked.length, result.current.offer]).toEqual([0, null]);
    rerender({ now: state(moved(10)), ahead: -150 });
    expect(mockAsked).toHaveLength(1);
    expect(result.current.offer).toBeNull();
    answer();
    expect(result.current.offer?.refit.line).not.toBe("");
    expect(result.current.offer?.reason).not.toBe("");
    // Only the first look at it brings it about.
    rerender({ now: state(moved(10)), ahead: -151 });
    expect(mockAsked).toHaveLength(1);
  });

  it("is left as it is when that is wished, until something else happens", () => {
    const { result, rerender } = hook();
    rerender({ now: state(moved(10)), ahead: -150 });
    answer();
    act(() => result.current.leave());
    expect(result.current.offer).toBeNull();
    rerender({ now: state(moved(10)), ahead: -152 });
    expect([mockAsked.length, result.current.offer]).toEqual([1, null]);
  });

  it("is not offered for a step that is over by then", () => {
    const { result, rerender } = hook();
    rerender({ now: state(moved(10)), ahead: -150 });
    const done: RunEvent = { id: "99999999-9999-4999-8999-999999999993", at: at(20), kind: "done" };
    rerender({ now: state(moved(10), done), ahead: -150 });
    expect(mockAsked.map((a) => a.calledOff)).toEqual([true, false]);
    expect(result.current.offer).toBeNull();
  });

  it("says so when it could not be computed, and nothing of it once that is past", () => {
    const { result, rerender } = hook();
    rerender({ now: state(moved(10)), ahead: -150 });
    act(() => mockAsked.at(-1)?.onFailure("It could not be worked out."));
    expect(result.current).toMatchObject({ offer: null, failure: "It could not be worked out." });
    rerender({ now: state(), ahead: 0 });
    expect(result.current.failure).toBeNull();
  });
});
