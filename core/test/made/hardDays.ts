import { noDetails } from "../../src/drill/details";
import { random } from "../../src/maths/random";
import type { PlanItem } from "../../src/plan/plan";
import { type RealDay, realDay } from "./realDays";

/**
 * A day on which all limits on totals bind at once: attempts of 2 to 10 for every drill of the sport's own, a quarter of
 * all drills explosive, little general work on end, half of it easy, and a small share of a small session.
 */
export function hardDay(drills: number, seed: number): RealDay {
  const { plan, day, availableSeconds } = realDay(drills, seed);
  const next = random(seed * 7 + 1);
  const pick = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const items = plan.items.map((item): PlanItem => {
    const dose =
      item.dose.kind === "attempts"
        ? { ...item.dose, attempts: { floor: 2, ideal: pick(3, 9), ceiling: 10 } }
        : item.dose;
    const isExplosive = pick(0, 3) === 0;
    const details = isExplosive
      ? { ...(item.details ?? noDetails()), flags: ["explosive" as const] }
      : item.details;
    return { ...item, dose, ...(details ? { details } : {}) };
  });
  const limits = {
    generalMinutes: pick(4, 8),
    volumePercent: 20,
    explosiveReps: pick(6, 14),
    easyPercent: pick(40, 60),
  };
  return {
    availableSeconds,
    plan: { ...plan, items, limits },
    day: { ...day, usualReps: pick(drills * 5, drills * 8) },
  };
}
