import { act, renderHook } from "@testing-library/react-native";
import { useSelection } from "~/features/warmup/model/useSelection";
import { idOf, item } from "~/test/made/makePlan";

describe("a selection", () => {
  const hook = (opens = false) => renderHook(() => useSelection([item(1), item(2), item(3)], opens)).result;

  it("opens a drill in its place and closes it by the next press, and takes another in between", () => {
    const now = hook(true);
    const selected = (n: number) => {
      act(() => now.current.select(idOf(n)));
      return now.current.selectedId;
    };
    expect([2, 3, 3, 3].map(selected)).toEqual([idOf(2), idOf(3), null, idOf(3)]);
    act(() => now.current.leave());
    expect(now.current.selectedId).toBeNull();
  });

  it("is of one drill, which a second press keeps, and goes up and down as far as there are drills", () => {
    const now = hook();
    expect(now.current).toMatchObject({ selectedId: null, index: -1, chosen: null });
    for (const _ of [1, 2]) act(() => now.current.select(idOf(2)));
    expect([now.current.selectedId, now.current.index]).toEqual([idOf(2), 1]);
    act(() => now.current.step(1));
    act(() => now.current.step(1));
    expect(now.current.index).toBe(2);
    act(() => now.current.step(-9));
    expect(now.current.index).toBe(0);
    act(() => now.current.put(null));
    expect(now.current.index).toBe(-1);
  });

  it("is of several when that is wished, each pressed on and off", () => {
    const now = hook();
    act(() => now.current.choose(true));
    for (const n of [1, 3, 1]) act(() => now.current.select(idOf(n)));
    expect([...(now.current.chosen ?? [])]).toEqual([idOf(3)]);
    act(() => now.current.clear());
    expect(now.current.chosen?.size).toBe(0);
    act(() => now.current.choose(false));
    expect(now.current.chosen).toBeNull();
  });
});
