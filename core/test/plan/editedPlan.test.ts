import { usualSetting } from "../../src/conditions/setting";
import { editedPlan, editedSetting } from "../../src/plan/edit/editedPlan";
import { drill, planOf } from "../made/generate";
import { anyId } from "../made/ids";

const [a, b, c] = [drill("A"), drill("B"), drill("C", { phase: "technical" })];
const plan = planOf([a, b, c]);
const names = (edits: Parameters<typeof editedPlan>[1]) =>
  editedPlan(plan, edits, anyId).items.map((i) => i.name);
const shelf = {
  name: "New",
  phase: "technical" as const,
  priority: "useful" as const,
  intensity: 20,
  dose: a.dose,
  focus: "",
  place: "",
};

it("changes, removes, moves and replaces, in order, and leaves what it began with", () => {
  const before = JSON.stringify(plan);
  expect(names([{ kind: "move", itemId: c.id, before: a.id }])).toEqual(["C", "A", "B"]);
  expect(names([{ kind: "move", itemId: a.id, before: null }])).toEqual(["B", "C", "A"]);
  expect(
    names([
      { kind: "remove", itemId: b.id },
      { kind: "move", itemId: c.id, before: b.id },
    ]),
  ).toEqual(["A", "C"]);
  expect(names([{ kind: "replace", itemId: b.id, drill: shelf }])).toEqual(["A", "New", "C"]);
  expect(names([{ kind: "change", itemId: b.id, change: { name: "Bee" } }])).toEqual(["A", "Bee", "C"]);
  expect(JSON.stringify(plan)).toBe(before);
});

it("puts a drill in where it belongs, before another, or at the end, with what it is done for", () => {
  expect(names([{ kind: "insert", drill: shelf }])).toEqual(["A", "B", "New", "C"]);
  expect(names([{ kind: "insert", drill: shelf, before: a.id }])).toEqual(["New", "A", "B", "C"]);
  const last = editedPlan(
    plan,
    [{ kind: "insert", drill: { ...shelf, calm: "quiet", why: "For the head" }, before: null }],
    anyId,
  );
  expect(last.items.at(-1)).toMatchObject({ name: "New", calm: "quiet", why: "For the head" });
});

it("passes over what is no longer there, and holds the longest wait above the least", () => {
  expect(editedPlan(plan, [], anyId)).toBe(plan);
  expect(
    names([
      { kind: "remove", itemId: "gone" },
      { kind: "move", itemId: "gone", before: null },
    ]),
  ).toEqual(["A", "B", "C"]);
  const { wait } = editedPlan(plan, [{ kind: "wait", change: { leastSeconds: 9000 } }], anyId);
  expect(wait).toMatchObject({ leastSeconds: 9000, longestSeconds: 9000 });
  expect(editedPlan(plan, [{ kind: "limits", change: { explosiveReps: 6 } }], anyId).limits).toEqual({
    explosiveReps: 6,
  });
});

it("changes what is there on the day, and of a plan nothing with it", () => {
  const edits = [{ kind: "setting" as const, change: { layers: true } }];
  expect(editedSetting(usualSetting(), edits)).toEqual({ ...usualSetting(), layers: true });
  expect(editedPlan(plan, edits, anyId).items).toEqual(plan.items);
});
