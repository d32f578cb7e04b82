import { fitPlan } from "../../src/fit/fit";
import { fitContextSchema } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const fixed = (n: number) => ({ floor: n, ideal: n, ceiling: n });

/** Hard work of so many seconds. */
const hard = (name: string, seconds: number, more: object = {}) =>
  drill(name, {
    phase: "prime",
    priority: "essential",
    intensity: 90,
    dose: { kind: "time", seconds: fixed(seconds), step: 5, sides: "one", changeoverSeconds: 0 },
    ...more,
  });

const plan = (items: ReturnType<typeof drill>[]) =>
  planOf(items, { stepPoints: 100, wait: { leastSeconds: 60, longestSeconds: 7200, times: 5 } });

/** How long before the start it has to begin: rest may lie between drills or after them, but is the same in all. */
const neededFor = (...items: ReturnType<typeof drill>[]) => -fitPlan(plan(items), 7200).beginSeconds;
const waitOf = (...items: ReturnType<typeof drill>[]) => fitPlan(plan(items), 7200).waitSeconds;

it("two hard drills of 3:15 owe together what one of 6:30 does", () => {
  expect(neededFor(hard("One", 390))).toBe(390 + 5 * 390);
  expect(neededFor(hard("One", 195), hard("Two", 195))).toBe(390 + 5 * 390);
  // Where there is room for them only one after the other, all of it is owed after them.
  const items = ["One", "Two"].map((name) => hard(name, 195, { place: "Hall" }));
  const open = { fromSeconds: -4000, toSeconds: -4000 + 390 };
  const day = fitContextSchema.parse({ places: [{ name: "Hall", windows: [open] }] });
  expect(fitPlan(plan(items), 7200, day).placements.map((p) => p.beginSeconds)).toEqual([-4000, -3805]);
  const late = fitContextSchema.parse({
    places: [{ name: "Hall", windows: [{ fromSeconds: -2339, toSeconds: -2339 + 390 }] }],
  });
  expect(fitPlan(plan(items), 7200, late)).toMatchObject({ state: "short", neverFits: true });
});

it("what is rested between them counts, and a full rest leaves the second alone", () => {
  const rested = (seconds: number) =>
    neededFor(hard("One", 195, { restAfter: { kind: "seconds", seconds } }), hard("Two", 195));
  expect(rested(300)).toBe(390 + 5 * 390);
  expect(rested(5 * 195)).toBe(390 + 5 * 390);
  expect(rested(1200)).toBe(390 + 1200 + 5 * 195);
});

it("easier work between them is time like any other", () => {
  const easy = drill("Easy", { dose: hard("", 100).dose, priority: "essential" });
  expect(neededFor(hard("One", 195), easy, hard("Two", 195))).toBe(390 + 5 * 390);
});

it("a hard rung owes for its work, not for its rests or a partner's turns: 1:40, not 21:40", () => {
  const rung = (partner: object, rest: number) =>
    drill("Ladder", {
      phase: "technical",
      priority: "essential",
      dose: {
        kind: "ladder",
        leastRungs: 1,
        rungs: [
          {
            id: "00000000-0000-4000-9000-000000000001",
            label: "",
            intensity: 90,
            dose: {
              kind: "attempts",
              attempts: fixed(4),
              secondsEach: 5,
              sides: "one",
              rest: { kind: "fixed", seconds: rest },
              ...partner,
            },
            focus: "",
            restSeconds: 0,
          },
        ],
      },
    });
  expect(waitOf(rung({}, 80))).toBe(100);
  expect(waitOf(rung({ partner: { mode: "alternating", changeoverSeconds: 0 } }, 0))).toBe(100);
});
