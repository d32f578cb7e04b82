import { fitPlan, fitWord, type PlanItem } from "@tonodrome/core";
import { twoMinutePlan } from "~/test/made/makeStart";

const [laps] = twoMinutePlan.items as [PlanItem];
const technical = (n: number, intensity: number): PlanItem => ({
  ...laps,
  id: `11111111-1111-4111-8111-11111111111${n}`,
  phase: "technical",
  priority: "useful",
  intensity,
});
const word = (items: PlanItem[], available: number, isBest = true) =>
  fitWord(fitPlan({ ...twoMinutePlan, items }, available), 20, { isBest, failed: false });

it("an empty plan is no fit", () => {
  expect(word([], 1800)).toBe("nothing yet");
});

it("what is dropped for a step is not for want of time, and is not called tight while there is time", () => {
  const steep = [technical(1, 30), technical(2, 90)];
  expect(word(steep, 1800)).toBe("fits but for a step");
  expect(word([technical(1, 30), technical(2, 45)], 1800)).toBe("fits");
  expect(word([technical(1, 30), technical(2, 45)], 180)).toBe("tight");
  expect(word(steep, 1800, false)).toBe("fitting …");
});
