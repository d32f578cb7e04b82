import { act, renderHook } from "@testing-library/react-native";
import type { Drill } from "@tonodrome/core/api";
import { useState } from "react";
import { usePlanEdits } from "~/features/warmup/model/usePlanEdits";
import { useSelection } from "~/features/warmup/model/useSelection";
import { drill } from "~/test/made/makeDrill";
import { idOf, item, planOf } from "~/test/made/makePlan";

describe("edits", () => {
  let closed = 0;
  const hook = (mayBuild = true) =>
    renderHook(() => {
      const [body, setBody] = useState(planOf(item(1), item(2), item(3)));
      const selection = useSelection(body.items, false);
      const edits = usePlanEdits({ body, edit: setBody }, selection, mayBuild, () => closed++);
      return { body, selection, edits };
    }).result;
  const names = (now: ReturnType<typeof hook>) => now.current.body.items.map((i) => i.name);
  const select = (now: ReturnType<typeof hook>, n: number) =>
    act(() => now.current.selection.select(idOf(n)));
  beforeEach(() => {
    closed = 0;
  });

  it("change the drill that is open, move another, and give it more or less", () => {
    const now = hook();
    select(now, 2);
    act(() => now.current.edits.change({ focus: "Tall" }));
    act(() => now.current.edits.move(idOf(3), 0));
    expect(now.current.body.items.map((i) => [i.name, i.focus])).toEqual([
      ["Drill 3", ""],
      ["Drill 1", ""],
      ["Drill 2", "Tall"],
    ]);
    act(() => now.current.edits.dose(1));
    expect(now.current.body.items[2]?.dose).toMatchObject({ seconds: { ideal: 150 } });
    act(() => now.current.edits.dose(-1));
    expect(now.current.body.items[2]?.dose).toMatchObject({ seconds: { ideal: 120 } });
  });

  it("take a drill out, and open the one that takes its place", () => {
    const now = hook();
    select(now, 2);
    act(() => now.current.edits.remove());
    expect([names(now), now.current.selection.selectedId, closed]).toEqual([
      ["Drill 1", "Drill 3"],
      idOf(3),
      1,
    ]);
    act(() => now.current.edits.remove());
    expect([names(now), now.current.selection.selectedId]).toEqual([["Drill 1"], idOf(1)]);
    act(() => now.current.edits.removeDrill(idOf(1)));
    expect(names(now)).toEqual([]);
    act(() => now.current.edits.remove());
    expect(closed).toBe(2);
  });

  it("add and swap drills of the shelf, and keep what a fill had to say until it is read", () => {
    const now = hook();
    act(() => now.current.edits.add(drill(1) as Drill));
    expect(names(now)).toContain("Shelf 1");
    select(now, 1);
    act(() => now.current.edits.swap(drill(2)));
    expect(names(now)).toContain("Shelf 2");
    act(() => now.current.edits.fill(planOf(item(1)), ["Filled."]));
    expect(now.current.edits.news).toEqual(["Filled."]);
    act(() => now.current.edits.forgetNews());
    expect(now.current.edits.news).toBeNull();
  });

  it("fill the whole of it, and say what the fill had to say", () => {
    const now = hook();
    select(now, 1);
    act(() => now.current.edits.fill(planOf(item(7)), ["Chosen."]));
    expect([names(now), now.current.edits.news, now.current.selection.selectedId, closed]).toEqual([
      ["Drill 7"],
      ["Chosen."],
      null,
      1,
    ]);
  });

  it("do something with several at once, and with none afterwards where they are gone", () => {
    const now = hook();
    act(() => now.current.selection.choose(true));
    for (const n of [1, 2]) select(now, n);
    act(() => now.current.edits.deed("later"));
    expect(names(now)).toEqual(["Drill 3", "Drill 1", "Drill 2"]);
    expect(now.current.selection.chosen?.size).toBe(2);
    act(() => now.current.edits.deed("copy"));
    expect(names(now)).toHaveLength(5);
    act(() => now.current.edits.deed("remove"));
    expect([names(now)[0], now.current.selection.chosen?.size]).toEqual(["Drill 3", 0]);
    act(() => now.current.edits.deed("earlier"));
    expect(names(now)[0]).toBe("Drill 3");
  });

  it("group into a circuit and split it again, and close what was open", () => {
    const now = hook();
    act(() => now.current.selection.choose(true));
    for (const n of [1, 2]) select(now, n);
    act(() => now.current.edits.deed("circuit"));
    expect(now.current.body.items.map((i) => i.dose.kind)).toEqual(["circuit", "time"]);
    expect([now.current.selection.chosen?.size, closed]).toEqual([0, 0]);
    act(() => now.current.selection.choose(false));
    act(() => now.current.selection.select(now.current.body.items[0]?.id ?? ""));
    act(() => now.current.edits.deed("split"));
    expect(names(now)).toEqual(["Drill 1", "Drill 2", "Drill 3"]);
    expect([now.current.selection.selectedId, closed]).toEqual([null, 1]);
  });

  it("change nothing for whom may not", () => {
    const now = hook(false);
    select(now, 2);
    act(() => now.current.edits.move(idOf(3), 0));
    act(() => now.current.edits.dose(1));
    act(() => now.current.edits.remove());
    act(() => now.current.edits.deed("copy"));
    expect(now.current.body).toEqual(planOf(item(1), item(2), item(3)));
  });
});
