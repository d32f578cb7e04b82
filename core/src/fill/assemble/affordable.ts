import { levelsOf } from "../../dose/levelsOf";
import { problemOf } from "../../fit/model/problemOf";
import { essentialNeeds } from "../../fit/needs";
import { withLeastWait } from "../../fit/shorterWait";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { openDay } from "../../venue/context";
import type { Phase } from "../../words/phase";

/** Whose importance gives way first when even the floors do not fit: easy movement and mobility are the last to go. */
const GIVES_WAY: readonly Phase[] = ["prime", "technical", "mobilise", "raise"];

const floorOf = (item: PlanItem) => levelsOf(item.dose)[0]?.seconds ?? 0;

/**
 * The same plan with as many of its drills essential as there is time for with the shortest wait; the others are useful. The
 * first raise and the first technical drill give way last of their parts, and kit never does.
 * @param availableSeconds before the start, the wait included
 */
export function affordable(plan: PlanBody, availableSeconds: number): PlanBody {
  const wait = plan.wait.shortestSeconds ?? plan.wait.leastSeconds;
  const forDrills = Math.max(0, availableSeconds - wait);
  const floors = ({ items }: PlanBody) =>
    items.reduce((sum, i) => sum + (i.priority === "essential" && !i.alreadyOn ? floorOf(i) : 0), 0);
  // The floors alone are soon added up; whether they can stand beside each other, the steps between them kept, is not.
  const onFloors = givingWay(plan, (now) => floors(now) > forDrills);
  const needsOf = (now: PlanBody) => essentialNeeds(problemOf(withLeastWait(now, wait), openDay()));
  const given = givingWay(onFloors, (now) => {
    const needs = needsOf(now);
    return Number.isFinite(needs) && needs > availableSeconds;
  });
  return withReachableEasy(given, (now) => Number.isFinite(needsOf(now)));
}

/** Points by which an easy share is lowered that no amount of time would reach. Custom. */
const EASY_LESS = 10;

/** The plan with so high an easy share, up to its own, that everything essential can be done. */
function withReachableEasy(plan: PlanBody, canBeDone: (plan: PlanBody) => boolean): PlanBody {
  const { easyPercent, ...limits } = plan.limits ?? {};
  if (easyPercent === undefined || canBeDone(plan)) return plan;
  const less = easyPercent - EASY_LESS;
  const lower = { ...plan, limits: less > 0 ? { ...limits, easyPercent: less } : limits };
  return withReachableEasy(lower, canBeDone);
}

/** The plan with one essential drill fewer after the other, as long as it is too much. */
function givingWay(plan: PlanBody, isTooMuch: (plan: PlanBody) => boolean): PlanBody {
  let now = plan;
  for (const phase of GIVES_WAY) {
    while (isTooMuch(now)) {
      const at = now.items.findLastIndex((i) => i.phase === phase && i.priority === "essential");
      if (at < 0) break;
      const item = now.items[at] as PlanItem;
      now = { ...now, items: now.items.with(at, { ...item, priority: "useful" }) };
    }
  }
  return now;
}
