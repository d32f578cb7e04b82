import fc from "fast-check";
import { changeItem, removeItems } from "../../src/plan/edit/changeItems";
import { mergePlans } from "../../src/plan/edit/mergePlans";
import { moveItem } from "../../src/plan/edit/moveItems";
import { type PlanBody, planBodySchema } from "../../src/plan/plan";
import { cases } from "../made/cases";
import { drill as named, planOf } from "../made/generate";
import { anyId } from "../made/ids";

const drill = (name: string, more: object = {}) => named(name, { id: anyId(), ...more });

const [laps, swings, axel] = [
  drill("Laps"),
  drill("Swings", { phase: "mobilise" }),
  drill("Axel", { phase: "technical", intensity: 60 }),
];
const base = planOf([laps, swings, axel]);
const names = ({ items }: PlanBody) => items.map((i) => i.name);
const plus = (body: PlanBody, at: number, name: string): PlanBody => ({
  ...body,
  items: body.items.toSpliced(at, 0, drill(name)),
});

it("different drills, different fields of one drill, and what is added are all there", () => {
  const mine = plus(changeItem(base, laps.id, { focus: "Tall" }), 1, "Skips");
  const theirs = plus(
    changeItem(changeItem(base, laps.id, { intensity: 45 }), axel.id, { place: "Rink" }),
    3,
    "Spins",
  );
  const { body, meetings } = mergePlans(base, mine, { ...theirs, stepPoints: 30 }, "mine");
  expect(meetings).toEqual([]);
  expect(names(body)).toEqual(["Laps", "Skips", "Swings", "Axel", "Spins"]);
  expect(body.items[0]).toMatchObject({ focus: "Tall", intensity: 45 });
  expect(body.items[3]).toMatchObject({ place: "Rink" });
  expect(body.stepPoints).toBe(30);
});

it("one field changed by both is named with both versions, and the side decides", () => {
  const mine = changeItem(base, laps.id, { intensity: 35, focus: "Tall" });
  const theirs = changeItem(base, laps.id, { intensity: 50, focus: "Tall" });
  const { body, meetings } = mergePlans(base, mine, theirs, "theirs");
  expect(meetings).toEqual([{ what: "Laps: intensity", mine: "35 %", theirs: "50 %" }]);
  expect(body.items[0]?.intensity).toBe(50);
  expect(mergePlans(base, mine, theirs, "mine").body.items[0]?.intensity).toBe(35);
});

it("what one took out goes, unless the other changed it: then they met", () => {
  const out = removeItems(base, [swings.id]);
  expect(names(mergePlans(base, out, changeItem(base, axel.id, { focus: "x" }), "mine").body)).toEqual([
    "Laps",
    "Axel",
  ]);
  const changed = changeItem(base, swings.id, { focus: "Loose" });
  const met = mergePlans(base, out, changed, "mine");
  expect(met.meetings).toEqual([{ what: "Swings", mine: "taken out", theirs: "changed" }]);
  expect(names(met.body)).toEqual(["Laps", "Axel"]);
  expect(names(mergePlans(base, out, changed, "theirs").body)).toEqual(["Laps", "Swings", "Axel"]);
});

it("whoever moved drills gives the order; both moved them differently and they met", () => {
  const theirs = { ...base, items: [swings, laps, axel] };
  expect(names(mergePlans(base, base, theirs, "mine").body)).toEqual(["Swings", "Laps", "Axel"]);
  const mine = { ...base, items: [laps, axel, swings] };
  const { body, meetings } = mergePlans(base, mine, theirs, "mine");
  expect(meetings.map((m) => m.what)).toEqual(["The order"]);
  expect(names(body)).toEqual(["Laps", "Axel", "Swings"]);
});

it("what a field order or a field left out say is no change", () => {
  const mine = changeItem(base, laps.id, { restAfter: undefined });
  expect(mergePlans(base, mine, changeItem(base, laps.id, { focus: "Tall" }), "mine").meetings).toEqual([]);
});

const anyEdit = fc.oneof(
  fc.record({ kind: fc.constant("change" as const), at: fc.nat(5), to: fc.integer({ min: 0, max: 100 }) }),
  fc.record({ kind: fc.constant("remove" as const), at: fc.nat(5), to: fc.nat(5) }),
  fc.record({ kind: fc.constant("move" as const), at: fc.nat(5), to: fc.nat(5) }),
  fc.record({ kind: fc.constant("add" as const), at: fc.nat(5), to: fc.nat(99) }),
);
const six = planOf(Array.from({ length: 6 }, (_, i) => drill(`Drill ${i}`)));

function edited(body: PlanBody, edits: readonly { kind: string; at: number; to: number }[], who: string) {
  return edits.reduce((now, { kind, at, to }) => {
    const id = now.items[at]?.id ?? "";
    if (kind === "change") return changeItem(now, id, { intensity: to });
    if (kind === "remove") return removeItems(now, [id]);
    return kind === "move" && id ? moveItem(now, id, to) : plus(now, at, `${who} ${to}`);
  }, body);
}

it("for any edits of two: one who did nothing changes nothing, nothing added is lost, and it is always a plan", () => {
  fc.assert(
    fc.property(
      fc.array(anyEdit, { maxLength: 5 }),
      fc.array(anyEdit, { maxLength: 5 }),
      fc.constantFrom("mine" as const, "theirs" as const),
      (a, b, side) => {
        const [mine, theirs] = [edited(six, a, "A"), edited(six, b, "B")];
        expect(mergePlans(six, mine, six, side)).toEqual({ body: mine, meetings: [] });
        expect(mergePlans(six, six, theirs, side)).toEqual({ body: theirs, meetings: [] });
        const { body } = mergePlans(six, mine, theirs, side);
        expect(planBodySchema.safeParse(body).success).toBe(true);
        const was = new Set(six.items.map((i) => i.id));
        for (const { id } of [...mine.items, ...theirs.items].filter((i) => !was.has(i.id)))
          expect(body.items.some((i) => i.id === id)).toBe(true);
        // Of a drill that both still have, every value is somebody's; one that both took out is gone.
        for (const { id, intensity } of body.items) {
          const own = [mine, theirs].flatMap((p) => p.items.filter((i) => i.id === id));
          expect(own.map((i) => i.intensity)).toContain(intensity);
        }
      },
    ),
    cases(300),
  );
});
