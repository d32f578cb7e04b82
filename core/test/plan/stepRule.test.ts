import { firstDose } from "../../src/dose/kinds/plainDose";
import { firstLadder } from "../../src/dose/ladder/firstLadder";
import { noDetails } from "../../src/drill/details";
import { steepSteps, stepAllowed } from "../../src/plan/stepRule";
import { drill } from "../made/generate";
import { anyId } from "../made/ids";

const rung = (name: string, intensity: number) => drill(name, { phase: "technical", intensity });

it("limits rises alone: the first may begin anywhere, and down is always allowed", () => {
  expect(stepAllowed(null, 95, 20)).toBe(true);
  expect(stepAllowed(40, 60, 20)).toBe(true);
  expect(stepAllowed(40, 61, 20)).toBe(false);
  expect(stepAllowed(90, 30, 20)).toBe(true);
});

it("names every step of a plan that is steeper than it allows, with its rise", () => {
  const items = [rung("a", 30), rung("b", 60), rung("c", 70), rung("d", 40), rung("e", 90)];
  expect(steepSteps(items, 20)).toEqual([
    { fromId: items[0]?.id, toId: items[1]?.id, rise: 30 },
    { fromId: items[3]?.id, toId: items[4]?.id, rise: 50 },
  ]);
  expect(steepSteps(items, 50)).toEqual([]);
});

it("goes on from whatever is last: general work too, but neither kit, a breather, what is calm nor what is for the head", () => {
  const rests = [
    drill("boots", { phase: "kit", intensity: 0 }),
    drill("shake out", { phase: "raise", intensity: 8, details: { ...noDetails(), flags: ["breather"] } }),
    drill("breathe", { phase: "prime", intensity: 5, details: { ...noDetails(), purposes: ["mental"] } }),
    drill("stand", { phase: "mobilise", intensity: 5, calm: "keep-warm" }),
  ];
  for (const between of rests) {
    expect(steepSteps([rung("a", 30), between, rung("b", 50)], 20)).toEqual([]);
    expect(steepSteps([rung("a", 30), between, rung("b", 55)], 20)).toHaveLength(1);
  }
  const swings = drill("swings", { phase: "mobilise", intensity: 25 });
  expect(steepSteps([swings, rung("b", 45)], 20)).toEqual([]);
  expect(steepSteps([swings, rung("b", 46)], 20)).toEqual([
    { fromId: swings.id, toId: rung("b", 46).id, rise: 21 },
  ]);
  // What leads up may itself rise by anything.
  expect(steepSteps([swings, drill("hops", { phase: "mobilise", intensity: 60 })], 20)).toEqual([]);
});

it("reaches priming, which with nothing before it goes on from easy effort", () => {
  const prime = (intensity: number) => drill("touch", { phase: "prime", intensity });
  expect(steepSteps([rung("a", 60), prime(80)], 20)).toEqual([]);
  expect(steepSteps([rung("a", 60), prime(85)], 20)).toHaveLength(1);
  expect(steepSteps([prime(60)], 20)).toEqual([]);
  expect(steepSteps([prime(61)], 20)).toEqual([{ fromId: null, toId: prime(61).id, rise: 21 }]);
});

it("names a step between the rungs of one ladder", () => {
  const { rungs, ...dose } = firstLadder(firstDose("attempts"), anyId);
  const efforts = [20, 60];
  const ladder = {
    ...rung("Jumps", 60),
    dose: { ...dose, rungs: rungs.map((r, i) => ({ ...r, intensity: efforts[i] as number })), leastRungs: 1 },
  };
  expect(steepSteps([ladder], 40)).toEqual([]);
  expect(steepSteps([ladder], 39)).toEqual([{ fromId: ladder.id, toId: ladder.id, rise: 40 }]);
});
