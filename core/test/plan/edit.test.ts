import { doseSchema } from "../../src/dose/dose";
import { firstDose } from "../../src/dose/kinds/plainDose";
import { firstLadder } from "../../src/dose/ladder/firstLadder";
import type { DrillContent } from "../../src/plan/drillContent";
import { addDrill as addDrillWith } from "../../src/plan/edit/addDrill";
import { changeItem, removeItems, replaceItem } from "../../src/plan/edit/changeItems";
import { circuitFault, groupIntoCircuit as groupWith } from "../../src/plan/edit/circuit";
import { copyPlan } from "../../src/plan/edit/copyPlan";
import { duplicateItems as duplicateItemsWith } from "../../src/plan/edit/duplicateItems";
import { moveItem, moveItems } from "../../src/plan/edit/moveItems";
import { canSplit, splitItem as splitItemWith } from "../../src/plan/edit/split";
import { emptyPlan, MOST_DRILLS, type PlanBody, type PlanItem, planBodySchema } from "../../src/plan/plan";
import type { Phase } from "../../src/words/phase";
import { anyId } from "../made/ids";

type Drill = DrillContent & { id: string };

const addDrill = (body: PlanBody, drill: Drill) => addDrillWith(body, drill, anyId);
const duplicateItems = (body: PlanBody, ids: string[]) => duplicateItemsWith(body, ids, anyId);
const groupIntoCircuit = (body: PlanBody, ids: string[]) => groupWith(body, ids, anyId);
const splitItem = (body: PlanBody, id: string) => splitItemWith(body, id, anyId);

const shelfDrill = (name: string, phase: Phase): Drill => ({
  id: "11111111-1111-4111-8111-111111111111",
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

it("adds each drill after the last of its phase, kit before the sport's own work", () => {
  const body = build(
    ["sprint", "prime"],
    ["laps", "raise"],
    ["boots", "kit"],
    ["axel", "technical"],
    ["skips", "raise"],
  );
  expect(names(body)).toEqual(["laps", "skips", "boots", "axel", "sprint"]);
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

const idsOf = (body: PlanBody, ...wanted: string[]) =>
  body.items.filter((i) => wanted.includes(i.name)).map((i) => i.id);

it("moves a drill between parts when it comes to lie within another one, but kit stays kit", () => {
  const body = build(["a", "raise"], ["b", "raise"], ["c", "mobilise"], ["d", "mobilise"], ["boots", "kit"]);
  const phases = (b: PlanBody) => b.items.map((i) => `${i.name} ${i.phase}`);
  const [a = "", boots = ""] = idsOf(body, "a", "boots");
  expect(phases(moveItem(body, a, 2))).toEqual([
    "b raise",
    "c mobilise",
    "a mobilise",
    "d mobilise",
    "boots kit",
  ]);
  expect(phases(moveItem(body, a, 1))[1]).toBe("a raise");
  expect(phases(moveItem(body, boots, 1))[1]).toBe("boots kit");
});

it("moves several together, in their order, as far as the first of them can go", () => {
  const body = build(["a", "raise"], ["b", "raise"], ["c", "raise"], ["d", "raise"]);
  const two = idsOf(body, "b", "d");
  expect(names(moveItems(body, two, -1))).toEqual(["b", "a", "d", "c"]);
  expect(moveItems(body, two, 1)).toBe(body);
  expect(names(moveItems(body, idsOf(body, "a", "b"), 1))).toEqual(["c", "a", "b", "d"]);
});

it("copies a whole warm-up with ids of its own, its pairs among themselves", () => {
  const plan = ["Laps", "Hops"].reduce(
    (now, name) => addDrill(now, shelfDrill(name, "raise")).body,
    emptyPlan(),
  );
  const [laps, hops] = plan.items as [PlanItem, PlanItem];
  const pair = { ...plan, items: [laps, { ...hops, after: laps.id }] };
  const copy = copyPlan(pair, anyId);
  expect(copy.items.map((i) => i.name)).toEqual(["Laps", "Hops"]);
  expect(copy.items[1]?.after).toBe(copy.items[0]?.id);
  expect(new Set([...pair.items, ...copy.items].map((i) => i.id)).size).toBe(4);
  // One whose leader is not there follows nothing.
  expect(copyPlan({ ...plan, items: [{ ...hops, after: laps.id }] }, anyId).items[0]?.after).toBeUndefined();
});

it("copies drills right after themselves, with ids of their own", () => {
  const body = build(["a", "raise"], ["b", "raise"]);
  const more = duplicateItems(body, idsOf(body, "a"));
  expect(names(more)).toEqual(["a", "a", "b"]);
  expect(planBodySchema.safeParse(more).success).toBe(true);
});

it("makes one circuit of several drills, and splits it into its movements again", () => {
  const body = build(["a", "raise"], ["b", "raise"], ["c", "raise"]);
  const grouped = groupIntoCircuit(body, idsOf(body, "a", "c"));
  expect(names(grouped)).toEqual(["Circuit: a, c", "b"]);
  expect(planBodySchema.parse(grouped)).toEqual(grouped);
  const [circuit] = grouped.items;
  expect(circuit?.dose).toMatchObject({
    kind: "circuit",
    movements: [{ name: "a", seconds: 120 }, { name: "c" }],
  });
  const split = splitItem(grouped, circuit?.id ?? "");
  expect(names(split)).toEqual(["a", "c", "b"]);
  expect(planBodySchema.safeParse(split).success).toBe(true);
  expect(canSplit(body.items[0] as never)).toBe(false);
  expect(splitItem(body, body.items[0]?.id ?? "")).toBe(body);
});

it("says why drills cannot be a circuit, and then leaves them", () => {
  const body = build(["a", "raise"], ["boots", "kit"]);
  expect(circuitFault(body.items)).toContain("Kit");
  expect(circuitFault(body.items.slice(0, 1))).toContain("two drills");
  expect(groupIntoCircuit(body, idsOf(body, "a", "boots"))).toBe(body);
});

it("splits a ladder into drills of its rungs", () => {
  const body = build(["a", "technical"]);
  const [item] = body.items;
  const laddered = changeItem(body, item?.id ?? "", { dose: firstLadder(firstDose("attempts"), anyId) });
  const split = splitItem(laddered, item?.id ?? "");
  expect(split.items.map((i) => [i.name, i.intensity])).toEqual([
    ["a: 30 %", 30],
    ["a: 50 %", 50],
  ]);
  expect(planBodySchema.safeParse(split).success).toBe(true);
});

it("puts another drill in a drill's place, as important as that was, and does not say what for", () => {
  const body = build(["a", "raise"]);
  const id = body.items[0]?.id ?? "";
  const important = changeItem(body, id, { priority: "essential" });
  const [item] = replaceItem(important, id, shelfDrill("b", "raise")).items;
  expect(item).toMatchObject({ id, name: "b", priority: "essential", why: "Instead of a." });
});

it("adds the same ladder twice with rungs that are told apart", () => {
  const ladder = { ...shelfDrill("ladder", "technical"), dose: firstLadder(firstDose("attempts"), anyId) };
  const body = [ladder, ladder].reduce((plan, drill) => addDrill(plan, drill).body, emptyPlan());
  const rungs = body.items.flatMap((i) => (i.dose.kind === "ladder" ? i.dose.rungs.map((r) => r.id) : []));
  expect(new Set(rungs).size).toBe(4);
  expect(rungs.slice(0, 2)).toEqual(ladder.dose.rungs.map((r) => r.id));
});

it("makes a circuit of drills whose names end in emoji that can be saved", () => {
  const named = build(["x".repeat(59), "raise"], ["y".repeat(58), "raise"]);
  const items = named.items.map((item) => ({ ...item, name: `${item.name}🤸🏽` }));
  const circuit = groupIntoCircuit(
    { ...named, items },
    items.map((i) => i.id),
  );
  expect(circuit.items).toHaveLength(1);
  expect(planBodySchema.parse(circuit)).toEqual(circuit);
});

it("takes no more drills than a plan holds", () => {
  const full = build(
    ...Array.from({ length: MOST_DRILLS - 1 }, (_, i) => [`d${i}`, "raise"] as [string, Phase]),
  );
  const [first, second] = full.items.map((i) => i.id) as [string, string];
  expect(duplicateItems(full, [first]).items).toHaveLength(MOST_DRILLS);
  expect(duplicateItems(full, [first, second])).toBe(full);
});

it("makes a circuit as hard as its hardest drill, and splits it into all its rounds", () => {
  const body = build(["easy", "raise"], ["hard", "raise"]);
  const items = body.items.map((item, i) => ({ ...item, intensity: [20, 70][i] as number }));
  const circuit = groupIntoCircuit(
    { ...body, items },
    items.map((i) => i.id),
  );
  const [made] = circuit.items;
  expect(made?.intensity).toBe(70);
  const dose = { ...made?.dose, rounds: { floor: 1, ideal: 3, ceiling: 3 } } as Drill["dose"];
  const [first] = splitItem(changeItem(circuit, made?.id ?? "", { dose }), made?.id ?? "").items;
  // The drill was 120 s: three rounds of it.
  expect(first?.dose).toMatchObject({ kind: "time", seconds: { floor: 120, ideal: 360, ceiling: 360 } });
});
