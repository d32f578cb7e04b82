import { act, renderHook } from "@testing-library/react-native";
import { type FitContext, fitContextSchema, fitPlan, type RunPlan } from "@tonodrome/core";
import { tableAt } from "@tonodrome/core/fitting";
import type { FitAsk } from "~/features/fit/fitWorker";
import { useStartRun } from "~/features/run/useStartRun";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const mockMade: RunPlan[] = [];
const mockWent: string[] = [];
const mockAsked: {
  ask: FitAsk;
  answer: (table: unknown) => void;
  fail: (sentence: string) => void;
  calledOff: boolean;
}[] = [];
const mockRouter = { push: (to: string) => mockWent.push(to) };
jest.mock("expo-router", () => ({ useRouter: () => mockRouter }));
jest.mock("~/data/runs/press", () => ({
  createRun: (_start: unknown, plan: RunPlan) => `run-${mockMade.push(plan)}`,
}));
jest.mock("~/features/fit/askFit", () => ({
  askFit: (
    ask: FitAsk,
    { onAnswer, onFailure }: { onAnswer: (table: unknown) => void; onFailure: (sentence: string) => void },
  ) => {
    const asked = { ask, answer: onAnswer, fail: onFailure, calledOff: false };
    mockAsked.push(asked);
    return () => {
      asked.calledOff = true;
    };
  },
}));

const context: FitContext = fitContextSchema.parse({});
const plan = twoMinutePlan;
const start = makeStart({}, plan);
const fit = fitPlan(plan, 600, context);
beforeEach(() => {
  for (const list of [mockMade, mockWent, mockAsked]) list.length = 0;
});

it("goes to a run of the fit at once where that is the best", async () => {
  const { result } = renderHook(() => useStartRun());
  await act(async () => result.current.startRun({ start, plan, context, fit, event: null }));
  expect(mockMade[0]?.drills.map((d) => d.name)).toEqual(["Laps"]);
  expect(mockWent).toEqual(["/run/run-1"]);
  expect(mockAsked).toEqual([]);
});

it("waits for the worker's answer where it is not, makes one run however often it is pressed, and none once left", async () => {
  const { result, unmount } = renderHook(() => useStartRun());
  const press = () => result.current.startRun({ start, plan, context, fit: 600, event: null });
  await act(async () => {
    press();
    press();
  });
  expect(mockAsked.map(({ ask }) => ask)).toEqual([{ kind: "one-time", plan, context, seconds: 600 }]);
  expect(mockWent).toEqual([]);
  await act(async () => mockAsked[0]?.answer(tableAt(plan, context, 600)));
  expect(mockWent).toEqual(["/run/run-1"]);
  await act(async () => press());
  unmount();
  expect(mockAsked.at(-1)?.calledOff).toBe(true);
});

it("says why where the worker breaks, makes no run, and tries again at the next press", async () => {
  const { result } = renderHook(() => useStartRun());
  const press = () =>
    act(async () => result.current.startRun({ start, plan, context, fit: 600, event: null }));
  await press();
  await act(async () => mockAsked[0]?.fail("It broke."));
  expect(result.current.failure).toBe("It broke.");
  expect(mockMade).toEqual([]);
  await press();
  expect(result.current.failure).toBeNull();
  await act(async () => mockAsked[1]?.answer(tableAt(plan, context, 600)));
  expect(mockWent).toEqual(["/run/run-1"]);
});

it("makes no run of what was left before it could be made", async () => {
  const { result, unmount } = renderHook(() => useStartRun());
  result.current.startRun({ start, plan, context, fit, event: null });
  unmount();
  await act(async () => undefined);
  expect(mockMade).toEqual([]);
});
