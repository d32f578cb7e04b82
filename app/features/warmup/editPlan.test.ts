import { doseSchema, emptyPlan, type Phase, type PlanBody, planBodySchema } from "@tonodrome/core";
import type { Drill } from "@tonodrome/core/api";
import { firstDose } from "../dose/firstDose";
import { addDrill, changeItem, moveItem, removeItems } from "./editPlan";

const shelfDrill = (name: string, phase: Phase): Drill => ({
  id: "11111111-1111-4111-8111-111111111111",
  version: 1,
  archived: false,
  changedAt: "2026-06-01T12:00:00.000Z",
  name,
  phase,
  priority: "useful",
  intensity: 30,
  dose: firstDose("time"),
  focus: "",
  place: "",
});

const build = (...list: [string, Phase][]): PlanBody =>
  list.reduce((body, [name, phase]) => addDrill(body, shelfDrill(name, phase)).body, emptyPlan());
const names = (body: PlanBody) => body.items.map((i) => i.name);

it("adds each drill after the last of its phase, kit at the end", () => {
  const body = build(
    ["sprint", "prime"],
    ["laps", "raise"],
    ["boots", "kit"],
    ["axel", "technical"],
    ["skips", "raise"],
  );
  expect(names(body)).toEqual(["laps", "skips", "axel", "sprint", "boots"]);
  expect(planBodySchema.parse(body)).toEqual(body);
  expect(new Set(body.items.map((i) => i.id)).size).toBe(5);
});

it("adds a technical drill below the first harder one, so that the climb stays even", () => {
  const at = (name: string, intensity: number): Drill => ({ ...shelfDrill(name, "technical"), intensity });
  const body = [at("35", 35), at("70", 70), at("50", 50), at("70 too", 70), at("20", 20)].reduce(
    (plan, drill) => addDrill(plan, drill).body,
    build(["laps", "raise"]),
  );
  expect(names(body)).toEqual(["laps", "20", "35", "50", "70", "70 too"]);
});

it("changes, moves and removes without touching the plan it was given", () => {
  const before = build(["a", "raise"], ["b", "raise"], ["c", "raise"]);
  const copy = JSON.stringify(before);
  const id = before.items[0]?.id ?? "";
  expect(changeItem(before, id, { intensity: 45 }).items[0]?.intensity).toBe(45);
  expect(names(moveItem(before, id, 2))).toEqual(["b", "c", "a"]);
  expect(names(moveItem(before, id, 99))).toEqual(["b", "c", "a"]);
  expect(names(moveItem(before, id, -4))).toEqual(["a", "b", "c"]);
  expect(names(removeItems(before, [id]))).toEqual(["b", "c"]);
  expect(names(moveItem(before, "nobody", 1))).toEqual(["a", "b", "c"]);
  expect(JSON.stringify(before)).toBe(copy);
});

it("begins every kind of dose with one that can be saved", () => {
  for (const kind of ["time", "reps", "attempts"] as const)
    expect(doseSchema.parse(firstDose(kind)).kind).toBe(kind);
});
