import { act, renderHook } from "@testing-library/react-native/pure";
import { useNow } from "~/data/client/useNow";

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
