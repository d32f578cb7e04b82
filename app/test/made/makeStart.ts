import { emptyPlan, type PlanBody, usualSetting } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";

/** A start at noon UTC with 45 minutes available, for tests that care about something else of it. */
export function makeStart(more: Partial<Start> = {}, body: PlanBody = emptyPlan()): Start {
  return {
    id: "22222222-2222-4222-8222-222222222222",
    version: 1,
    stamp: "1.1.1.0",
    athlete: { id: "33333333-3333-4333-8333-333333333333", name: "Ada" },
    title: "Final",
    venue: "Hall",
    zone: "UTC",
    startsAt: "2026-06-01T12:00:00.000Z",
    readyAt: "2026-06-01T11:15:00.000Z",
    listedAt: "2026-06-01T12:00:00.000Z",
    eventId: null,
    setting: usualSetting(),
    order: null,
    facts: { points: [], places: [], usualReps: 0 },
    plan: { id: "44444444-4444-4444-8444-444444444444", version: 1, body },
    ...more,
  };
}

/** A plan of one essential drill: two minutes, one when time is short. */
export const twoMinutePlan: PlanBody = {
  ...emptyPlan(),
  items: [
    {
      id: "11111111-1111-4111-8111-111111111111",
      drillId: null,
      name: "Laps",
      phase: "raise",
      priority: "essential",
      intensity: 20,
      dose: {
        kind: "time",
        seconds: { floor: 60, ideal: 120, ceiling: 120 },
        step: 30,
        sides: "one",
        changeoverSeconds: 0,
      },
      focus: "",
      place: "",
    },
  ],
};
