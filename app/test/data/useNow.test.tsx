import { act, renderHook } from "@testing-library/react-native/pure";
import { timeNow } from "~/data/client/clock";
import { useNow, useNowNear } from "~/data/client/useNow";

beforeEach(() => jest.useFakeTimers({ now: Date.parse("2026-06-01T10:30:00.123Z") }));
afterEach(() => jest.useRealTimers());

const NINETY_MINUTES = 5_400_000;

it("does not drift over ninety minutes, whatever each tick is held up by", () => {
  const { result, unmount } = renderHook(() => useNow(250));
  let worst = 0;
  const end = Date.now() + NINETY_MINUTES;
  let step = 0;
  while (Date.now() < end) {
    // Timers come late by up to 40 ms, as on a busy phone.
    act(() => void jest.advanceTimersByTime(250 + (step++ % 5) * 8));
    worst = Math.max(worst, Date.now() - result.current - 250);
  }
  expect(worst).toBeLessThan(100);
  act(() => void jest.advanceTimersByTime(250));
  expect(Date.now() - result.current).toBeLessThanOrEqual(250);
  unmount();
});

it("is right at once when a tab in the background comes into sight again", () => {
  const { result, unmount } = renderHook(() => useNow(250));
  // In the background timers are held back for minutes.
  jest.setSystemTime(Date.now() + 600_000);
  act(() => void document.dispatchEvent(new Event("visibilitychange")));
  expect(Date.now() - result.current).toBeLessThan(100);
  unmount();
});

it("looks at it by moments that hang on the time it is", () => {
  const short = timeNow() + 150_000;
  let looks = 0;
  const { unmount } = renderHook(() => {
    looks++;
    return useNowNear((now) => (now > short ? [now] : [short]));
  });
  act(() => void jest.advanceTimersByTime(240_000));
  const before = looks;
  // Long past it, every second counts.
  for (let i = 0; i < 10; i++) act(() => void jest.advanceTimersByTime(1000));
  expect(looks - before).toBe(10);
  unmount();
});

it("looks at the clock only when a length of time reads differently: each minute, and each second of the last", () => {
  const at = timeNow() + 150_000;
  let looks = 0;
  const { result, unmount } = renderHook(() => {
    looks++;
    return useNowNear(() => [at]);
  });
  const lookedIn = (ms: number) => {
    const before = looks;
    for (let i = 0; i < ms; i += 500) act(() => void jest.advanceTimersByTime(Math.min(500, ms - i)));
    return looks - before;
  };
  expect(lookedIn(29_000)).toBe(0);
  // From "2 min" to "1 min", as soon as it is.
  expect(lookedIn(1_001)).toBe(1);
  expect(Math.floor((at - result.current) / 60_000)).toBe(1);
  expect(lookedIn(58_000)).toBe(0);
  expect(lookedIn(63_000)).toBeGreaterThanOrEqual(60);
  // Passed by more than a minute it counts up as slowly.
  act(() => void jest.advanceTimersByTime(61_000));
  expect(lookedIn(120_000)).toBe(2);
  expect(Math.floor((result.current - at) / 60_000)).toBe(Math.floor((timeNow() - at) / 60_000));
  unmount();
});
