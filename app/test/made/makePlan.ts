import { emptyPlan, type PlanBody, type PlanItem } from "@tonodrome/core";
import { twoMinutePlan } from "./makeStart";

const [laps] = twoMinutePlan.items as [PlanItem];

/** The id of a numbered drill of a made plan. */
export const idOf = (n: number) => `11111111-1111-4111-8111-11111111111${n}`;

/** A drill of a made plan, two minutes long, by its number. */
export const item = (n: number, more: Partial<PlanItem> = {}): PlanItem => ({
  ...laps,
  id: idOf(n),
  name: `Drill ${n}`,
  ...more,
});

/** A plan of these drills. */
export const planOf = (...items: PlanItem[]): PlanBody => ({ ...emptyPlan(), items });
