import { act, renderHook } from "@testing-library/react-native";
import { type FitContext, fitContextSchema, fitPlan, type PlanBody, type PlanItem } from "@tonodrome/core";
import { explanationOf, profileTable, tableAt } from "@tonodrome/core/fitting";
import type { FitAsk } from "~/features/fit/fitWorker";
import { useExplanation } from "~/features/fit/useExplanation";
import { useFit } from "~/features/fit/useFit";
import { twoMinutePlan } from "~/test/made/makeStart";

/** Stands in for the worker: answers when it is told to. */
interface Asked {
  ask: FitAsk;
  calledOff: boolean;
  onProgress?: (progress: number) => void;
  onAnswer: (answer: unknown) => void;
  onFailure: (sentence: string) => void;
}
const mockAsked: Asked[] = [];
jest.mock("~/features/fit/askFit", () => ({
  askFit: (ask: FitAsk, told: Pick<Asked, "onProgress" | "onAnswer" | "onFailure">) => {
    const entry: Asked = { ask, calledOff: false, ...told };
    mockAsked.push(entry);
    return () => {
      entry.calledOff = true;
    };
  },
}));

const waiting = (kind: FitAsk["kind"]) => mockAsked.filter((a) => a.ask.kind === kind && !a.calledOff);
const answer = (kind: FitAsk["kind"], what: unknown) => act(async () => waiting(kind).at(-1)?.onAnswer(what));

const fail = (kind: FitAsk["kind"]) => act(async () => waiting(kind).at(-1)?.onFailure(`No ${kind}.`));

const day: FitContext = fitContextSchema.parse({ usualReps: 10 });
const [laps] = twoMinutePlan.items as [PlanItem];
const jumps: PlanItem = {
  ...laps,
  id: "11111111-1111-4111-8111-111111111119",
  name: "Jumps",
  phase: "technical",
  intensity: 30,
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

it("never shows the plan there was before for the one there is now", async () => {
  const { result, rerender } = renderHook(
    ({ plan }: { plan: PlanBody }) =>
      useFit({ plan, context: day, availableSeconds: 1200, horizonSeconds: 5400 }),
    { initialProps: { plan: twoMinutePlan } },
  );
  await answer("every-time", profileTable(twoMinutePlan, day, 5400));
  const longer: PlanBody = { ...twoMinutePlan, items: [{ ...laps, name: "Longer laps" }] };
  rerender({ plan: longer });
  expect(result.current.fit.placements.map((p) => p.item.name)).toEqual(["Longer laps"]);
});

it("says so until a limit that binds is applied, and shows the answer then", async () => {
  const { result } = fitOf(limited, 20);
  expect(result.current.isBest).toBe(false);
  await answer("one-time", tableAt(limited, day, 1200));
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(limited, 1200, day) });
  expect(result.current.fit.placements.find((p) => p.item.id === jumps.id)?.level?.volume.amount).toBe(3);
});

it("computes each time by itself where every time would take too long, the nearest first, until all are known", async () => {
  const { result, rerender, unmount } = fitOf(limited, 20);
  await answer("one-time", tableAt(limited, day, 1200));
  await answer("every-time", null);
  const asked = () => waiting("one-time").map(({ ask }) => ("seconds" in ask ? ask.seconds : 0));
  const known: number[] = [];
  for (const next of [1200, 1140, 1260]) {
    expect(asked().at(-1)).toBe(next);
    known.push(next);
    await answer("one-time", tableAt(limited, day, next));
  }
  expect(result.current.progress).toBeCloseTo(3 / 90);
  // What is known is looked up; anything else is asked for at once, before its turn.
  rerender({ seconds: 1270 });
  expect(result.current).toMatchObject({
    isBest: true,
    fit: { beginSeconds: fitPlan(limited, 1260, day).beginSeconds },
  });
  rerender({ seconds: 600 });
  expect(result.current.isBest).toBe(false);
  expect(asked().at(-1)).toBe(600);
  await answer("one-time", tableAt(limited, day, 600));
  expect(result.current).toMatchObject({ isBest: true, fit: fitPlan(limited, 600, day) });
  unmount();
  expect(waiting("one-time").filter(({ ask }) => "seconds" in ask && !known.includes(ask.seconds))).toEqual(
    [],
  );
});

it("tells how far it is with the time that is waited for, or else with every time", async () => {
  const tell = (kind: FitAsk["kind"], progress: number) =>
    act(async () => waiting(kind).at(-1)?.onProgress?.(progress));
  const { result, rerender } = fitOf(limited, 20);
  expect(result.current.progress).toBeNull();
  await tell("every-time", 0.2);
  expect(result.current).toMatchObject({ isBest: false, progress: null });
  await tell("one-time", 0.5);
  expect(result.current.progress).toBe(0.5);
  // Another time is asked for anew.
  rerender({ seconds: 600 });
  expect(result.current).toMatchObject({ isBest: false, progress: null });
  await answer("one-time", tableAt(limited, day, 600));
  expect(result.current).toMatchObject({ isBest: true, progress: 0.2 });
  await answer("every-time", null);
  expect(result.current.progress).toBe(0);
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
  expect(result.current.explanation).toBeNull();
  await answer("explanation", explanationOf(limited, day, 1200));
  expect(result.current.explanation?.availableSeconds).toBe(1200);
  expect(waiting("explanation").at(-1)?.ask).toMatchObject({ seconds: 900 });
  await answer("explanation", explanationOf(limited, day, 900));
  expect(result.current.explanation?.given).toEqual([
    expect.objectContaining({ name: "Jumps", binding: { kind: "cap", cap: "volume" } }),
  ]);
});

describe("when the worker breaks", () => {
  it("says that the best is not known, and asks anew for another time", async () => {
    const { result, rerender } = fitOf(limited, 20);
    expect(result.current).toMatchObject({ isBest: false, failure: null });
    await fail("one-time");
    expect(result.current).toMatchObject({ isBest: false, failure: "No one-time." });
    rerender({ seconds: 1080 });
    expect(result.current.failure).toBeNull();
    await answer("one-time", tableAt(limited, day, 1080));
    expect(result.current).toMatchObject({ isBest: true, failure: null });
  });

  it("computes the times one by one where every time at once cannot be had", async () => {
    const { result } = fitOf(limited, 20);
    await answer("one-time", tableAt(limited, day, 1200));
    await fail("every-time");
    expect(waiting("one-time").length).toBeGreaterThan(0);
    expect(result.current.isBest).toBe(true);
  });

  it("keeps the explanation there was, says so, and explains the next one", async () => {
    const { result, rerender } = renderHook(
      ({ seconds }: { seconds: number }) => useExplanation(limited, day, seconds),
      { initialProps: { seconds: 1200 } },
    );
    await fail("explanation");
    expect(result.current).toEqual({ explanation: null, failure: "No explanation." });
    rerender({ seconds: 900 });
    await answer("explanation", explanationOf(limited, day, 900));
    expect(result.current).toMatchObject({ explanation: { availableSeconds: 900 }, failure: null });
  });
});
