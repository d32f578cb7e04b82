import fc from "fast-check";
import { noDetails } from "../../src/drill/details";
import { compareShelf, type KnownDrill } from "../../src/formats/compareShelf";
import { type DrillInTable, readShelfCsv, shelfCsv } from "../../src/formats/shelfTable";
import { drill } from "../made/generate";

const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;

/** A drill as a table has it. */
function row(name: string, more: Partial<DrillInTable> = {}): DrillInTable {
  const { id: _, drillId: __, ...content } = drill(name);
  return { ...content, ...more };
}
const known = (n: number, content: DrillInTable, archived = false): KnownDrill => ({
  ...{ id: idOf(n), archived, content },
});
const linked = (easier: string | null, harder: string | null = null) => ({
  details: { ...noDetails(), easier, harder },
});
const states = (drills: DrillInTable[], shelf: KnownDrill[]) =>
  compareShelf(drills, shelf).map((n) => n.state);

it("a drill is known by its name, however it is written; what reads differently is named", () => {
  const shelf = [known(1, row("Easy Hops")), known(2, row("Skips", { intensity: 40 }))];
  expect(
    compareShelf([row("easy  hops"), row("Skips", { intensity: 45, focus: "Tall" }), row("Laps")], shelf),
  ).toEqual([
    {
      name: "easy  hops",
      unlinked: 0,
      state: "changed",
      id: idOf(1),
      drill: row("easy  hops"),
      changed: ["name"],
    },
    {
      ...{ name: "Skips", unlinked: 0, state: "changed", id: idOf(2) },
      ...{ drill: row("Skips", { intensity: 45, focus: "Tall" }), changed: ["intensity", "focus"] },
    },
    { name: "Laps", unlinked: 0, state: "new", drill: row("Laps") },
  ]);
});

it("one that was put away comes back; of two of one name the one in use is meant; two in use are a fault", () => {
  expect(compareShelf([row("Hops")], [known(1, row("Hops"), true)])[0]).toMatchObject({
    ...{ state: "changed", id: idOf(1), changed: ["archived"] },
  });
  const away = known(1, row("Hops"), true);
  expect(compareShelf([row("Hops")], [away, known(2, row("Hops"))])[0]).toMatchObject({
    state: "same",
    id: idOf(2),
  });
  expect(states([row("Hops")], [known(1, row("Hops")), known(2, row("Hops"))])).toEqual(["fault"]);
});

it("alternatives that are not on the shelf are left out and counted; round in a circle they are a fault", () => {
  const shelf = [known(1, row("Hops")), known(2, row("Skips"))];
  expect(compareShelf([row("Laps", linked(idOf(1), idOf(9)))], shelf)[0]).toMatchObject({
    ...{ state: "new", unlinked: 1, drill: { details: { easier: idOf(1), harder: null } } },
  });
  // Only what it names is looked at: nothing named is no way back.
  const chain = [known(1, row("Hops", linked(idOf(2)))), known(2, row("Skips", linked(null)))];
  expect(states([row("Laps", linked(idOf(1)))], chain)).toEqual(["new"]);
  expect(states([row("Skips", linked(idOf(1)))], chain)).toEqual(["fault"]);
});

it("what a shelf writes changes nothing when it is read back, whatever is in it", () => {
  const anyShelf = fc.uniqueArray(
    fc.record({
      name: fc.constantFrom("Hops", "Skips", "=Laps", "Jog, easy", 'The "long" way'),
      at: fc.integer({ min: 0, max: 100 }),
    }),
    { selector: (d) => d.name, minLength: 1 },
  );
  fc.assert(
    fc.property(anyShelf, (drills) => {
      const shelf = drills.map(({ name, at }, i) => known(i, row(name, { intensity: at })));
      const read = readShelfCsv(shelfCsv(shelf.map((k) => k.content)));
      if ("faults" in read) throw new Error(JSON.stringify(read.faults));
      expect(new Set(states(read.drills, shelf))).toEqual(new Set(["same"]));
    }),
  );
});
