import { contextOf, emptyPlan, type PlanBody, quickProfileAt } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { availableFor, startView } from "~/features/starts/startView";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const startsAt = Date.parse("2026-06-01T12:00:00.000Z");

const startWith = (body: PlanBody): Start => makeStart({}, body);

const viewOf = (start: Start, now: number) =>
  startView(start, now, quickProfileAt(start.plan.body, contextOf(start), availableFor(start, now)).profile);

const before = (minutes: number) => startsAt - minutes * 60_000;

it("counts from being ready while that is still ahead, and says when to begin", () => {
  const view = viewOf(startWith(twoMinutePlan), before(60));
  expect(view).toMatchObject({
    availableSeconds: 45 * 60,
    untilStart: 3600,
    beginsAt: before(7),
    untilBegin: 53 * 60,
  });
  expect(view.fit.state).toBe("fits");
});

it("counts from now once that is later, and squeezes the plan", () => {
  const view = viewOf(startWith(twoMinutePlan), before(6));
  expect(view.availableSeconds).toBe(360);
  expect(view.fit).toMatchObject({ state: "tight", workSeconds: 60 });
  expect(view.untilBegin).toBe(0);
});

it("says that it does not fit with one minute to go", () => {
  const view = viewOf(startWith(twoMinutePlan), before(1));
  expect(view.fit).toMatchObject({ state: "short", missingSeconds: 300 });
});

it("has an empty plan begin at the start, and a start that has passed keep its plan", () => {
  expect(viewOf(startWith(emptyPlan()), before(30)).beginsAt).toBe(startsAt);
  const over = viewOf(startWith(twoMinutePlan), before(-10));
  expect([over.untilStart, over.availableSeconds, over.fit.state]).toEqual([-600, 2700, "fits"]);
});
