import { emptyPlan, type PlanBody } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { addDrill, firstDose } from "../warmup/editPlan";
import { startView } from "./startView";

const startsAt = Date.parse("2026-06-01T12:00:00.000Z");

function startWith(body: PlanBody, availableMinutes = 45): Start {
  return {
    id: "22222222-2222-4222-8222-222222222222",
    version: 1,
    athlete: { id: "33333333-3333-4333-8333-333333333333", name: "Ada" },
    title: "Final",
    venue: "",
    zone: "UTC",
    startsAt: new Date(startsAt).toISOString(),
    readyAt: new Date(startsAt - availableMinutes * 60_000).toISOString(),
    plan: { id: "44444444-4444-4444-8444-444444444444", version: 1, body },
  };
}

const twoMinutes = addDrill(emptyPlan(), {
  id: "11111111-1111-4111-8111-111111111111",
  name: "Laps",
  phase: "raise",
  priority: "essential",
  intensity: 20,
  dose: firstDose("time"),
  focus: "",
  place: "",
}).body;

const before = (minutes: number) => startsAt - minutes * 60_000;

it("counts from being ready while that is still ahead, and says when to begin", () => {
  const view = startView(startWith(twoMinutes), before(60));
  expect(view).toMatchObject({
    availableSeconds: 45 * 60,
    untilStart: 3600,
    beginsAt: before(7),
    untilBegin: 53 * 60,
  });
  expect(view.fit.state).toBe("fits");
});

it("counts from now once that is later, and squeezes the plan", () => {
  const view = startView(startWith(twoMinutes), before(6));
  expect(view.availableSeconds).toBe(360);
  expect(view.fit).toMatchObject({ state: "tight", workSeconds: 60 });
  expect(view.untilBegin).toBe(0);
});

it("says that it does not fit with one minute to go", () => {
  const view = startView(startWith(twoMinutes), before(1));
  expect(view.fit).toMatchObject({ state: "short", missingSeconds: 300 });
});

it("has an empty plan begin at the start, and a start that has passed keep its plan", () => {
  expect(startView(startWith(emptyPlan()), before(30)).beginsAt).toBe(startsAt);
  const over = startView(startWith(twoMinutes), before(-10));
  expect([over.untilStart, over.availableSeconds, over.fit.state]).toEqual([-600, 2700, "fits"]);
});
