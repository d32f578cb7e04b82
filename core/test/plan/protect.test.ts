import fc from "fast-check";
import { noDetails } from "../../src/drill/details";
import { linkFault } from "../../src/drill/links";
import { loadedOf, protectedOn, replacementFor } from "../../src/plan/protect";
import { drill } from "../made/generate";
import { anyShelf } from "../made/shelf";

const shelfDrill = (id: string, more: object = {}) => ({
  id,
  name: id.toUpperCase(),
  phase: "raise" as const,
  intensity: 30,
  details: { ...noDetails(), purposes: ["raise" as const], ...more },
});

const item = (drillId: string, more: object = {}) =>
  drill(drillId, { drillId, details: { ...noDetails(), purposes: ["raise"], loads: ["knee"], ...more } });

it("an area is protected to the end of its last day, or until it is taken out", () => {
  const areas = [
    { area: "knee" as const, until: "2026-12-01" },
    { area: "hip" as const, until: null },
  ];
  expect(protectedOn(areas, "2026-12-01")).toEqual(["knee", "hip"]);
  expect(protectedOn(areas, "2026-12-02")).toEqual(["hip"]);
});

it("takes a drill's own alternative, then on along the links, and nothing twice", () => {
  const shelf = [
    shelfDrill("b", { loads: ["knee"], instead: "c" }),
    shelfDrill("c"),
    shelfDrill("d", { loads: ["knee"] }),
  ];
  const fits = (taken: string[]) => (d: (typeof shelf)[number]) =>
    !taken.includes(d.id) && loadedOf(d, ["knee"]).length === 0;
  expect(replacementFor(item("a", { instead: "b" }), shelf, fits([]))?.id).toBe("c");
  expect(replacementFor(item("x", { instead: "c" }), shelf, fits(["c"]))).toBeNull();
});

it("otherwise the same purpose at the nearest intensity, rather easier than harder", () => {
  const shelf = [
    { ...shelfDrill("hard"), intensity: 40 },
    { ...shelfDrill("easy"), intensity: 20 },
    { ...shelfDrill("other", { purposes: ["mental"] }), intensity: 30 },
  ];
  expect(replacementFor(item("a"), shelf, () => true)?.id).toBe("easy");
});

it("is not led round for ever by drills that name each other, and never proposes what loads a protected part", () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(9), { minLength: 10, maxLength: 10 }),
      fc.subarray(["knee" as const, "hip" as const]),
      (to, areas) => {
        const shelf = anyShelf(10).map((d, i, all) => ({
          ...d,
          details: { ...noDetails(), ...d.details, instead: all[to[i] as number]?.id ?? null },
        }));
        const items = shelf.map((d) => drill(d.name, { drillId: d.id, details: d.details }));
        for (const one of items.slice(0, 4)) {
          const found = replacementFor(one, shelf, (d) => loadedOf(d, areas).length === 0);
          if (found) expect(found.details.loads.some((a) => areas.includes(a as never))).toBe(false);
        }
      },
    ),
  );
});

it("a circle that begins elsewhere is not held against a drill that leads into it", () => {
  const shelf = [shelfDrill("a", { easier: "b" }), shelfDrill("b", { easier: "a" })];
  expect(linkFault(shelfDrill("c", { easier: "a" }), shelf)).toBeNull();
  expect(linkFault(shelf[0] as never, shelf)?.path).toEqual(["easier"]);
});

it("no drill is its own alternative, and none names what is not on the shelf", () => {
  const shelf = [shelfDrill("a", {})];
  expect(linkFault(shelfDrill("a", { instead: "a" }), shelf)).toMatchObject({
    path: ["instead"],
    message: expect.stringContaining("its own alternative"),
  });
  expect(linkFault(shelfDrill("a", { harder: "z" }), shelf)).toMatchObject({
    path: ["harder"],
    message: expect.stringContaining("not on the shelf"),
  });
});
