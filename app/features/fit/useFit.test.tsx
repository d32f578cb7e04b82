import { act, renderHook } from "@testing-library/react-native";
import { type FitContext, fitContextSchema, fitPlan, type PlanBody, type PlanItem } from "@tonodrome/core";
import { explanationOf, profileTable, tableAt } from "@tonodrome/core/fitting";
import { twoMinutePlan } from "~/data/testing/makeStart";
import type { FitAsk } from "./fitWorker";
import { useExplanation } from "./useExplanation";
import { useFit } from "./useFit";

/** Stands in for the worker: answers when it is told to. */
interface Asked {
  ask: FitAsk;
  calledOff: boolean;
  onAnswer: (answer: unknown) => void;
}
const mockAsked: Asked[] = [];
jest.mock("./askFit", () => ({
  askFit: (ask: FitAsk, { onAnswer }: { onAnswer: (answer: unknown) => void }) => {
    const entry: Asked = { ask, calledOff: false, onAnswer };
    mockAsked.push(entry);
    return () => {
      entry.calledOff = true;
    };
  },
}));

const waiting = (kind: FitAsk["kind"]) => mockAsked.filter((a) => a.ask.kind === kind && !a.calledOff);
const answer = (kind: FitAsk["kind"], what: unknown) => act(async () => waiting(kind).at(-1)?.onAnswer(what));

const day: FitContext = fitContextSchema.parse({ usualReps: 10 });
const [laps] = twoMinutePlan.items as [PlanItem];
const jumps: PlanItem = {
  ...laps,
  id: "11111111-1111-4111-8111-111111111119",
  name: "Jumps",
  phase: "technical",
  intensity: 50,
  dose: {
    kind: "attempts",
    attempts: { floor: 1, ideal: 6, ceiling: 6 },
    secondsEach: 10,
    sides: "one",
    rest: { kind: "fixed", seconds: 0 },
  },
};
const limited: PlanBody = { ...twoMinutePlan, items: [laps, jumps], limits: { volumePercent: 30 } };

beforeEach(() => {
  mockAsked.length = 0;
});

const fitOf = (plan: PlanBody, minutes: number) =>
  renderHook(
    ({ seconds }: { seconds: number }) =>
      useFit({ plan, context: day, availableSeconds: seconds, horizonSeconds: 5400 }),
    {
      initialProps: { seconds: minutes * 60 },
    },
  );

it("shows the best plan at once where no limit binds, and looks others up once every time is known", async () => {
  const { result, rerender, unmount } = fitOf(twoMinutePlan, 20);
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(twoMinutePlan, 1200, day) });
  await answer("every-time", profileTable(twoMinutePlan, day, 5400));
  rerender({ seconds: 360 });
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(twoMinutePlan, 360, day) });
  expect(waiting("one-time")).toEqual([]);
  unmount();
});

it("says so while a limit that binds is still being reckoned with, and shows the answer then", async () => {
  const { result, rerender } = fitOf(limited, 20);
  expect(result.current.isBest).toBe(false);
  await answer("one-time", tableAt(limited, day, 1200));
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(limited, 1200, day) });
  expect(result.current.fit.placements.find((p) => p.item.id === jumps.id)?.level?.volume.amount).toBe(3);
  // Every time would take too long: each is asked for by itself.
  await answer("every-time", null);
  rerender({ seconds: 600 });
  expect(result.current.isBest).toBe(false);
  expect(waiting("one-time").at(-1)?.ask).toMatchObject({ seconds: 600 });
  await answer("one-time", tableAt(limited, day, 600));
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(limited, 600, day) });
});

it("asks once a minute while the time counts down, and calls off what nobody waits for", async () => {
  const { result, rerender } = fitOf(limited, 20);
  rerender({ seconds: 1199 });
  expect(waiting("one-time").map((a) => a.ask)).toEqual([expect.objectContaining({ seconds: 1140 })]);
  await answer("one-time", tableAt(limited, day, 1140));
  rerender({ seconds: 1180 });
  expect(result.current.isBest).toBe(true);
  expect(result.current.fit.beginSeconds).toBeGreaterThanOrEqual(-1140);
});

it("explains one fit at a time, and the latest one next", async () => {
  const { result, rerender } = renderHook(
    ({ seconds }: { seconds: number }) => useExplanation(limited, day, seconds),
    {
      initialProps: { seconds: 1200 },
    },
  );
  for (const seconds of [1100, 1000, 900]) rerender({ seconds });
  expect(waiting("explanation")).toHaveLength(1);
  expect(result.current).toBeNull();
  await answer("explanation", explanationOf(limited, day, 1200));
  expect(result.current?.availableSeconds).toBe(1200);
  expect(waiting("explanation").at(-1)?.ask).toMatchObject({ seconds: 900 });
  await answer("explanation", explanationOf(limited, day, 900));
  expect(result.current?.given).toEqual([
    expect.objectContaining({ name: "Jumps", bound: { kind: "cap", cap: "volume" } }),
  ]);
});
