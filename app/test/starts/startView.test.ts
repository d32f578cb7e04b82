import { emptyPlan, type PlanBody } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { glanceOf } from "@tonodrome/core/judge";
import { availableFor, startView } from "~/features/starts/startView";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const startsAt = Date.parse("2026-06-01T12:00:00.000Z");

const startWith = (body: PlanBody): Start => makeStart({}, body);

const viewOf = (start: Start, now: number) => {
  const { startsAt, setting, facts, plan } = start;
  const of = { plan: plan.body, day: { startsAt, setting, facts }, training: null, before: [] };
  return startView(start, now, glanceOf({ ...of, seconds: availableFor(start, now) }));
};

const before = (minutes: number) => startsAt - minutes * 60_000;

it("counts from being ready while that is still ahead, and says when to begin", () => {
  const view = viewOf(startWith(twoMinutePlan), before(60));
  expect(view).toMatchObject({
    availableSeconds: 45 * 60,
    untilStart: 3600,
    beginsAt: before(7),
    untilBegin: 53 * 60,
  });
  expect(view.glance).toMatchObject({ word: "fits", fits: true, needs: { full: 420, essentials: 360 } });
});

it("counts from now once that is later, and squeezes the plan", () => {
  const view = viewOf(startWith(twoMinutePlan), before(6));
  expect(view.availableSeconds).toBe(360);
  expect(view.glance).toMatchObject({ word: "tight", fits: false, workSeconds: 60 });
  expect(view.untilBegin).toBe(0);
});

it("says that it does not fit with one minute to go", () => {
  const view = viewOf(startWith(twoMinutePlan), before(1));
  expect(view.glance).toMatchObject({ word: "does not fit", fits: false });
});

it("has an empty plan begin at the start, and a start that has passed keep its plan", () => {
  expect(viewOf(startWith(emptyPlan()), before(30)).beginsAt).toBe(startsAt);
  const over = viewOf(startWith(twoMinutePlan), before(-10));
  expect([over.untilStart, over.availableSeconds, over.glance?.word]).toEqual([-600, 2700, "fits"]);
});

it("says nothing of when to begin while that is not known", () => {
  const view = startView(startWith(twoMinutePlan), before(60), null);
  expect(view).toMatchObject({ glance: null, beginsAt: startsAt, latest: { full: null, essentials: null } });
});
