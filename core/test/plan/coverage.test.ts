import { noDetails } from "../../src/drill/details";
import { coldFinding, coverageOf } from "../../src/plan/coverage";
import { drill } from "../made/generate";

const asked = { actions: ["Jump", "spin"], areas: ["hip" as const, "shoulder" as const] };
const touching = (more: object) => ({ details: { ...noDetails(), ...more } });

it("says what touches each action and part, and what is left cold", () => {
  const coverage = coverageOf(
    [drill("Hops", touching({ actions: ["jump"], areas: ["hip"] })), drill("Laps")],
    asked,
  );
  expect(coverage.actions).toEqual([
    { what: "Jump", by: ["Hops"] },
    { what: "spin", by: [] },
  ]);
  expect(coldFinding(coverage)).toMatchObject({
    code: "left-cold",
    words: "Left cold: spin, shoulder, better side, other side",
  });
  expect(coldFinding({ actions: coverage.actions.slice(0, 1), areas: [], sides: [] })).toBeNull();
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
  expect(coldFinding(coverage)?.words).toBe("Left cold: Jump, hip, shoulder, other side");
});
