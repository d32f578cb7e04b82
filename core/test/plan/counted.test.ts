import { noDetails } from "../../src/drill/details";
import { isCounted } from "../../src/plan/counted";
import { restOwed } from "../../src/plan/rest";
import { PHASES } from "../../src/words/phase";

it("counts technical drills and primes as the sport's own, whatever they are, and explosive ones wherever they are", () => {
  const explosive = { ...noDetails(), flags: ["explosive" as const] };
  expect(PHASES.filter((phase) => isCounted({ phase }, "volume"))).toEqual(["technical", "prime"]);
  expect(PHASES.filter((phase) => isCounted({ phase }, "explosive"))).toEqual([]);
  expect(PHASES.filter((phase) => isCounted({ phase, details: explosive }, "explosive"))).toEqual(PHASES);
});

it("owes no rest, a fixed one, or so many times the work", () => {
  expect(restOwed(undefined, 40)).toBe(0);
  expect(restOwed({ kind: "seconds", seconds: 90 }, 40)).toBe(90);
  expect(restOwed({ kind: "times", times: 3 }, 40)).toBe(120);
});
