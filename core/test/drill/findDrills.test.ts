import { noDetails } from "../../src/drill/details";
import { filterCount, findDrills, noFilter, wordsOf } from "../../src/drill/findDrills";
import { anyShelf } from "../made/shelf";

const base = { focus: "", place: "", phase: "raise" as const, intensity: 30, archived: false };
const hops = {
  ...base,
  name: "Hops",
  details: {
    ...noDetails(),
    purposes: ["activate" as const],
    areas: ["ankle" as const],
    equipment: ["rope"],
    people: 2,
    intensityFrom: 30,
    intensityTo: 50,
    leastAge: 12,
    faults: ["Landing flat"],
  },
};
const laps = {
  ...base,
  name: "Laps of the hall",
  details: { ...noDetails(), loads: ["knee" as const], space: "hall", distance: "near" as const },
};
const plain = { ...base, name: "Plain", phase: "mobilise" as const };
const old = { ...base, name: "Old", archived: true };
const shelf = [hops, laps, plain, old];
const names = (more: object) => findDrills(shelf, { ...noFilter(), ...more }).map((d) => d.name);

it.each([
  [{}, ["Hops", "Laps of the hall", "Plain"]],
  [{ words: "HALL laps" }, ["Laps of the hall"]],
  [{ words: "flat" }, ["Hops"]],
  [{ words: "rope" }, ["Hops"]],
  [{ phase: "mobilise" }, ["Plain"]],
  [{ archived: true }, ["Old"]],
  [{ purposes: ["activate", "raise"] }, ["Hops"]],
  [{ areas: ["ankle"] }, ["Hops"]],
  [{ spares: ["knee"] }, ["Hops"]],
  [{ spaces: ["hall"] }, ["Laps of the hall"]],
  [{ equipment: ["rope", "mat"] }, ["Hops"]],
  [{ people: 1 }, ["Laps of the hall"]],
  [{ age: 9 }, ["Laps of the hall"]],
  [{ distance: "near" }, ["Laps of the hall"]],
  [{ intensityFrom: 60 }, ["Laps of the hall"]],
  [{ intensityTo: 30, areas: ["ankle"] }, ["Hops"]],
  [{ areas: ["ankle"], spaces: ["hall"] }, []],
])("%j finds %j", (more, found) => {
  expect(names(more)).toEqual(found);
});

it("counts what narrows the list down, and knows the words of the shelf", () => {
  expect(filterCount(noFilter())).toBe(0);
  expect(filterCount({ ...noFilter(), phase: "raise", areas: ["hip"], intensityTo: 50 })).toBe(3);
  expect(wordsOf(anyShelf(40), (d) => d.equipment)).toEqual(["rope"]);
});
