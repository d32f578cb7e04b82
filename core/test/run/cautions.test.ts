import { usualSetting } from "../../src/conditions/setting";
import { cautionFor, weatherCaution } from "../../src/run/live/cautions";
import type { RunDrill } from "../../src/run/steps/runPlan";
import { openDay } from "../../src/venue/context";
import { itemOf, type Row, reps } from "../made/situations";

const caution = (details: NonNullable<Row[4]>["details"]) => {
  const item = itemOf(["Lift", "technical", 30, reps(3), { details: details ?? {} }], 1);
  const source = {
    plan: { items: [item], wait: { leastSeconds: 0, longestSeconds: 0 }, stepPoints: 20 },
    context: openDay(),
  };
  return cautionFor({ source }, { itemId: item.id } as RunDrill);
};

test("a lift or load with a partner has its caution, another drill what its coach wrote down, the rest nothing", () => {
  expect(caution({ people: 2, loads: ["back"] })).toMatch(/^Matched or lighter partner/);
  expect(caution({ people: 2 })).toBeNull();
  expect(caution({ loads: ["back"], cautions: ["Knees over toes.", "More."] })).toBe("Knees over toes.");
  expect(cautionFor({}, { itemId: "gone" } as RunDrill)).toBeNull();
});

test("the weather's caution follows its band", () => {
  const of = (more: object) => weatherCaution({ conditions: { ...usualSetting(), ...more } });
  expect(weatherCaution({})).toBeNull();
  expect(of({ temperature: 20 })).toBeNull();
  expect(of({ temperature: 27 })).toMatch(/^Warm/);
  expect(of({ temperature: 29, humidity: 50 })).toMatch(/^Hot/);
  expect(of({ temperature: 38 })).toMatch(/^Very hot/);
  expect(of({ temperature: 5, indoors: false })).toMatch(/^Cold/);
  expect(of({ temperature: 5 })).toBeNull();
});
