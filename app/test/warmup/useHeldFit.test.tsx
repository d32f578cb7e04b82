import { act, cleanup, renderHook } from "@testing-library/react-native/pure";
import { type Fit, fitPlan, type PlanBody } from "@tonodrome/core";
import { useCallback, useState } from "react";
import { useFitAfter, useFitUnder, useHeldFit } from "~/features/warmup/model/useHeldFit";
import { twoMinutePlan } from "~/test/made/makeStart";

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

const fits = (plan: PlanBody, minutes: number) => fitPlan(plan, minutes * 60);

/** Up to how many minutes a fit is known. */
const KNOWN = 60;

/** A slider at 45 minutes, as the warm-up has it, and what its parts show. */
function heldHook() {
  const settled: number[] = [];
  const { result, rerender } = renderHook(
    ({ plan }: { plan: PlanBody }) => {
      const [minutes, setMinutes] = useState(45);
      const fitFor = useCallback((m: number): Fit | null => (m <= KNOWN ? fits(plan, m) : null), [plan]);
      const held = useHeldFit(fitFor, minutes, (to) => {
        settled.push(to);
        setMinutes(to);
      });
      const all = { minutes, fit: fits(plan, minutes) };
      return { held, minutes, under: useFitUnder(held, all), after: useFitAfter(held, all) };
    },
    { initialProps: { plan: twoMinutePlan } },
  );
  const seen = () => {
    const { minutes, under, after } = result.current;
    return {
      number: under.minutes,
      rise: under.fit.availableSeconds / 60,
      stair: after.availableSeconds / 60,
      all: minutes,
    };
  };
  const held = () => result.current.held;
  return { held, seen, settled, rerender };
}

/** The next frame, and what comes when that is painted. */
const painted = () => act(() => void jest.advanceTimersByTime(20));
const rested = () => act(() => void jest.advanceTimersByTime(400));

it("is followed by the number and the rise at once, by the stair when they are painted, by the rest when the finger rests", () => {
  const { held, seen, settled } = heldHook();
  act(() => held().take());
  act(() => held().move(30));
  expect(seen()).toEqual({ number: 30, rise: 30, stair: 45, all: 45 });
  painted();
  expect(seen()).toEqual({ number: 30, rise: 30, stair: 30, all: 45 });
  act(() => held().move(28));
  painted();
  act(() => held().move(20));
  painted();
  expect([seen(), settled]).toEqual([{ number: 20, rise: 20, stair: 20, all: 45 }, []]);
  rested();
  expect([seen(), settled]).toEqual([{ number: 20, rise: 20, stair: 20, all: 20 }, [20]]);
  // It is still held, and moves on.
  act(() => held().move(22));
  painted();
  expect(seen()).toEqual({ number: 22, rise: 22, stair: 22, all: 20 });
});

it("is what everything goes by as soon as it is let go, also before the stair is painted", () => {
  const { held, seen } = heldHook();
  act(() => held().take());
  act(() => held().move(30));
  painted();
  act(() => held().letGo());
  expect(seen()).toEqual({ number: 30, rise: 30, stair: 30, all: 30 });
  act(() => held().take());
  act(() => held().move(31));
  act(() => held().letGo());
  painted();
  expect(seen()).toEqual({ number: 31, rise: 31, stair: 31, all: 31 });
});

it("goes by everything at once where it is not held, or the fit has to be computed first", () => {
  const { held, seen } = heldHook();
  act(() => held().move(30));
  expect(seen()).toEqual({ number: 30, rise: 45, stair: 45, all: 45 });
  painted();
  expect(seen()).toEqual({ number: 30, rise: 30, stair: 30, all: 30 });
  act(() => held().take());
  act(() => held().move(KNOWN + 10));
  expect(seen()).toMatchObject({ number: KNOWN + 10, rise: 30 });
  painted();
  expect(seen()).toMatchObject({ number: KNOWN + 10, all: KNOWN + 10 });
});

it("shows nothing apart once it is back where it was", () => {
  const { held, seen, settled } = heldHook();
  act(() => held().take());
  act(() => held().move(30));
  painted();
  act(() => held().move(45));
  painted();
  act(() => held().letGo());
  expect([held().store.getState(), seen().stair, settled]).toEqual([{ under: null, after: null }, 45, []]);
});

it("shows another plan, should it change meanwhile", () => {
  const { held, seen, rerender } = heldHook();
  act(() => held().take());
  act(() => held().move(30));
  painted();
  const [laps] = twoMinutePlan.items;
  if (!laps) throw new Error("There is no drill.");
  const other: PlanBody = { ...twoMinutePlan, items: [{ ...laps, name: "Other laps" }] };
  rerender({ plan: other });
  expect(seen()).toEqual({ number: 30, rise: 30, stair: 30, all: 45 });
  const { under, after } = held().store.getState();
  expect([under?.fit, after?.fit].map((fit) => fit?.placements[0]?.item.name)).toEqual([
    "Other laps",
    "Other laps",
  ]);
});
