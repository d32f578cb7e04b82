import fc from "fast-check";
import { coolDownRun } from "../../src/coolDown/coolDownRun";
import { type CoolDownFor, coolDownFor, coolDownStepOf, WENT } from "../../src/coolDown/usualCoolDown";
import { noDetails } from "../../src/drill/details";
import { EFFORT_PROFILES } from "../../src/event/eventType";
import { idsFrom } from "../../src/maths/idsFrom";
import { coolDownSchema, coolDownSeconds } from "../../src/plan/coolDown";
import { runPlanSchema } from "../../src/run/steps/runPlan";
import { cases } from "../made/cases";
import { drill } from "../made/generate";

const startsAt = "2026-11-21T18:40:00Z";
const mild = { indoors: true, temperature: 18, wind: "calm" as const };

const made = (more: Partial<CoolDownFor> = {}) =>
  coolDownFor({
    ...{ effort: "short-hard", went: "usual", conditions: mild, drills: [], makeId: idsFrom("cool") },
    ...more,
  });
const minutes = (more: Partial<CoolDownFor>) => coolDownSeconds(made(more)) / 60;
const forIt = (name: string, seconds: number, intensity = 20) =>
  drill(name, {
    intensity,
    dose: { ...drill(name).dose, seconds: { floor: seconds, ideal: seconds, ceiling: seconds } } as never,
    details: { ...noDetails(), purposes: ["cool-down"] },
  });

describe("how long it is goes by the event and by how much it took:", () => {
  it("8 to 12 min after a short hard one, 5 to 10 after a long one, 3 after precision", () => {
    const all = (effort: (typeof EFFORT_PROFILES)[number]) => WENT.map((went) => minutes({ effort, went }));
    expect(all("short-hard")).toEqual([8, 10, 12]);
    expect(all("short-explosive")).toEqual([8, 10, 12]);
    expect(all("long-sustained")).toEqual([5, 8, 10]);
    expect(minutes({ effort: "precision" })).toBe(3);
    // Nobody said what kind of event it was.
    expect(minutes({ effort: null })).toBe(10);
  });

  it("brisk first, at 60 to 70 %, only after what was short and hard; it gets easier all the way, and ends in breath", () => {
    for (const effort of EFFORT_PROFILES) {
      const steps = made({ effort });
      const isHard = effort === "short-hard" || effort === "short-explosive";
      expect((steps[0]?.intensity ?? 0) >= 60).toBe(isHard);
      expect(Math.max(...steps.map((s) => s.intensity))).toBeLessThanOrEqual(70);
      expect(steps.map((s) => s.intensity)).toEqual(steps.map((s) => s.intensity).sort((a, b) => b - a));
      expect(steps.at(-1)?.breath).toBe(true);
    }
  });
});

it("in the heat nothing is brisk and it is in the shade; in the cold it begins in warm clothes", () => {
  const hot = made({ conditions: { indoors: false, temperature: 38, wind: "calm", humidity: 50 } });
  expect(Math.max(...hot.map((s) => s.intensity))).toBeLessThan(50);
  expect(hot[0]?.focus).toMatch(/shade/);
  const cold = made({ conditions: { indoors: false, temperature: 2, wind: "breeze" } });
  expect(cold[0]?.focus).toMatch(/Warm clothes/);
  // As long as it would be otherwise.
  expect(coolDownSeconds(hot)).toBe(600);
  expect(coolDownSeconds(cold)).toBe(600);
});

it("the club's own drills for it take the place of the easy part, the harder first, as far as there is time", () => {
  const names = (drills: CoolDownFor["drills"]) => made({ drills }).map((s) => s.name);
  expect(names([forIt("Stretch", 120, 10), forIt("Walk", 120, 20), drill("Sprint")])).toEqual([
    "Brisk movement",
    "Walk",
    "Stretch",
    "Slow breathing",
  ]);
  // Ten minutes of walking are too long.
  expect(names([forIt("Long walk", 600), forIt("Stretch", 90)])).toEqual([
    "Brisk movement",
    "Easy movement",
    "Stretch",
    "Slow breathing",
  ]);
  const drillId = "99999999-9999-4999-8999-999999999999";
  expect(coolDownStepOf({ ...forIt("Walk", 60), id: drillId }, "x")).toMatchObject({ drillId, seconds: 60 });
});

it("whatever the shelf holds, it can be kept, and run as it is", () => {
  const shelf = fc.array(
    fc.record({ seconds: fc.integer({ min: 5, max: 900 }), intensity: fc.integer({ min: 0, max: 60 }) }),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(
      shelf,
      fc.constantFrom(...EFFORT_PROFILES, null),
      fc.constantFrom(...WENT),
      (drills, effort, went) => {
        const own = drills.map(({ seconds, intensity }, i) => forIt(`d${i}`, seconds, intensity));
        const steps = made({ effort, went, drills: own });
        expect(coolDownSchema.parse(steps)).toEqual(steps);
        // A step of less than half a minute is made one of half a minute, never more than that too long.
        expect(Math.abs(coolDownSeconds(steps) - coolDownSeconds(made({ effort, went })))).toBeLessThan(30);
        const run = coolDownRun(steps, startsAt);
        expect(runPlanSchema.parse(run)).toEqual(run);
        expect(run.drills.map((d) => d.plannedSeconds)).toEqual(steps.map((s) => s.seconds));
      },
    ),
    cases(100),
  );
});

it("ends in two minutes of breath, and in a third of it where it is short", () => {
  const breath = (more: Partial<CoolDownFor>) => made(more).at(-1)?.seconds;
  expect(breath({ effort: "short-hard" })).toBe(120);
  expect(breath({ effort: "long-sustained", went: "little" })).toBe(90);
  expect(breath({ effort: "precision" })).toBe(60);
});
