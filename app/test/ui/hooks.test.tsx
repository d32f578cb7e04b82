import { act, renderHook } from "@testing-library/react-native";
import { applyKeptTheme } from "~/data/device/theme";
import { useTheme } from "~/data/device/useTheme";
import { useAfterPaint } from "~/ui/hooks/useAfterPaint";
import { useFrameLater } from "~/ui/hooks/useFrameLater";
import { useGrowing } from "~/ui/hooks/useGrowing";
import { useKeys } from "~/ui/hooks/useKeys";
import { useSame } from "~/ui/hooks/useSame";
import { useStable } from "~/ui/hooks/useStable";

it("tells the last of several values, once what is under the finger is painted", async () => {
  const told: number[] = [];
  const { result } = renderHook(() => useAfterPaint((n: number) => told.push(n)));
  for (const n of [1, 2, 3]) result.current(n);
  expect(told).toEqual([]);
  await act(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 1))));
  expect(told).toEqual([3]);
});

it("has a value one frame later, and then the newest", async () => {
  const { result, rerender } = renderHook(({ n }: { n: number }) => useFrameLater(n), {
    initialProps: { n: 1 },
  });
  expect(result.current).toBe(1);
  rerender({ n: 2 });
  rerender({ n: 3 });
  expect(result.current).toBe(1);
  await act(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 1))));
  expect(result.current).toBe(3);
});

it("is the same as long as its key is, and one function that does what the newest would", () => {
  const { result, rerender } = renderHook(
    ({ value, key }: { value: object; key: string }) => ({
      same: useSame(value, key),
      act: useStable(() => value),
    }),
    { initialProps: { value: { n: 1 }, key: "a" } },
  );
  const first = result.current;
  rerender({ value: { n: 2 }, key: "a" });
  expect(result.current.same).toBe(first.same);
  expect(result.current.act).toBe(first.act);
  expect(first.act()).toEqual({ n: 2 });
  rerender({ value: { n: 3 }, key: "b" });
  expect(result.current.same).toEqual({ n: 3 });
});

describe("keys", () => {
  const pressed: string[] = [];
  const press = (target: Element, key: string, more: KeyboardEventInit = {}) => {
    const event = new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true, ...more });
    target.dispatchEvent(event);
    return event.defaultPrevented;
  };
  const element = (html: string) => {
    document.body.innerHTML = html;
    return document.body.firstElementChild as Element;
  };
  const keys = {
    a: () => pressed.push("a"),
    " ": () => pressed.push("space"),
    "alt+arrowup": () => pressed.push("up"),
  };

  it("do what they are for, and no longer once the screen is left", () => {
    pressed.length = 0;
    const { unmount } = renderHook(() => useKeys(keys as unknown as Record<string, () => void>));
    const plain = element("<div></div>");
    expect(press(plain, "A")).toBe(true);
    expect(press(plain, "ArrowUp", { altKey: true })).toBe(true);
    expect(press(plain, "ArrowUp")).toBe(false);
    expect(pressed).toEqual(["a", "up"]);
    unmount();
    press(plain, "a");
    expect(pressed).toHaveLength(2);
  });

  it("are the field's, the sheet's, the control's and the browser's own where those use them", () => {
    pressed.length = 0;
    const { unmount } = renderHook(() => useKeys(keys as unknown as Record<string, () => void>));
    press(element("<input>"), "a");
    press(element("<div role='dialog'></div>"), "a");
    press(element("<button></button>"), " ");
    press(element("<div></div>"), "a", { ctrlKey: true });
    press(element("<div></div>"), "a", { metaKey: true });
    expect(pressed).toEqual([]);
    press(element("<button></button>"), "a");
    expect(pressed).toEqual(["a"]);
    unmount();
  });
});

it("keeps the look that was chosen, and without a choice has the device's own", () => {
  localStorage.clear();
  Object.assign(globalThis, { matchMedia: () => ({ matches: true }) });
  const root = document.documentElement;
  applyKeptTheme();
  expect(root.dataset.theme).toBeUndefined();
  const { result } = renderHook(() => useTheme());
  expect(result.current.theme).toBe("dark");
  act(() => result.current.toggle());
  expect([result.current.theme, root.dataset.theme]).toEqual(["light", "light"]);
  delete root.dataset.theme;
  applyKeptTheme();
  expect(root.dataset.theme).toBe("light");
});

it("draws of a long list what is in sight, then one more whenever nothing else is to do, and no more than there are", () => {
  const idle: (() => void)[] = [];
  const given = {
    requestIdleCallback: (act: () => void) => idle.push(act),
    cancelIdleCallback: () => idle.pop(),
  };
  Object.assign(globalThis, given);
  const { result, rerender, unmount } = renderHook(
    ({ length }: { length: number }) => useGrowing(length, 2),
    {
      initialProps: { length: 4 },
    },
  );
  const next = () => act(() => idle.shift()?.());
  expect(result.current).toBe(2);
  next();
  expect(result.current).toBe(3);
  next();
  expect([result.current, idle.length]).toEqual([4, 0]);
  rerender({ length: 1 });
  expect([result.current, idle.length]).toEqual([1, 0]);
  // One more start than before is drawn as well.
  rerender({ length: 5 });
  next();
  expect(result.current).toBe(5);
  rerender({ length: 6 });
  unmount();
  expect(idle).toEqual([]);
  for (const name of Object.keys(given)) Reflect.deleteProperty(globalThis, name);
});
