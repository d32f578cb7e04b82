import { noDetails } from "../../src/drill/details";
import { type Coverage, coverageOf } from "../../src/plan/coverage";
import { drill } from "../made/generate";

const asked = { actions: ["Jump", "spin"], areas: ["hip" as const, "shoulder" as const] };
const touching = (more: object) => ({ details: { ...noDetails(), ...more } });

const coldOf = ({ actions, areas, sides }: Coverage) =>
  [...actions, ...areas, ...sides].filter((c) => c.by.length === 0).map((c) => c.what);

it("says what touches each action and part, and what is left cold", () => {
  const coverage = coverageOf(
    [drill("Hops", touching({ actions: ["jump"], areas: ["hip"] })), drill("Laps")],
    asked,
  );
  expect(coverage.actions).toEqual([
    { what: "Jump", by: ["Hops"] },
    { what: "spin", by: [] },
  ]);
  expect(coldOf(coverage)).toEqual(["spin", "shoulder", "better side", "other side"]);
});

it("counts a ladder's rungs by their names, and the sides of their doses", () => {
  const dose = {
    kind: "attempts" as const,
    attempts: { floor: 1, ideal: 1, ceiling: 1 },
    secondsEach: 5,
    sides: "dominant" as const,
    rest: { kind: "fixed" as const, seconds: 0 },
  };
  const rungs = [{ id: drill("r").id, label: "Spin", intensity: 40, dose, focus: "", restSeconds: 0 }];
  const coverage = coverageOf([drill("Ladder", { dose: { kind: "ladder", rungs, leastRungs: 1 } })], asked);
  expect(coldOf(coverage)).toEqual(["Jump", "hip", "shoulder", "other side"]);
});
