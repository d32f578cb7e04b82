import { idealLevel, levelsOf } from "../../dose/levelsOf";
import { isCounted } from "../../plan/counted";
import type { PlanBody, PlanItem } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import { wordKey } from "../../words/sameWord";

/** Something about a plan and its day that does not stop the fit, but that it cannot do as it is asked. */
export interface Remark {
  /** @example "plan.items[2].place" */
  path: string;
  message: string;
}

/** What is said of a plan on its day: places that the day does not know, and limits that cannot be kept. */
export function remarksOn(plan: PlanBody, context: FitContext): Remark[] {
  return [...unknownPlaces(plan, context), ...unkeptLimits(plan, context)];
}

/** A day that names no place knows none: then a drill's place is only the coach's word for it. */
function unknownPlaces({ items }: PlanBody, { places }: FitContext): Remark[] {
  if (places.length === 0) return [];
  const known = new Set(places.map((p) => wordKey(p.name)));
  return items.flatMap((item, i): Remark[] => {
    if (item.place.trim() === "" || known.has(wordKey(item.place))) return [];
    return [
      {
        path: `plan.items[${i}].place`,
        message: `${item.name}: this day has no place “${item.place}”, so it is fitted in anywhere. Add the place, or choose one there is.`,
      },
    ];
  });
}

function unkeptLimits({ items, limits }: PlanBody, { usualReps }: FitContext): Remark[] {
  const { volumePercent, explosiveReps } = limits ?? {};
  const remarks: Remark[] = [];
  if (volumePercent !== undefined && usualReps === 0)
    remarks.push({
      path: "plan.limits.volumePercent",
      message:
        "The share of the usual session cannot be kept: how many repetitions that has is not known. Write it down for the athlete, or take the limit out.",
    });
  const isAsked = (item: PlanItem) =>
    (volumePercent !== undefined && usualReps > 0 && isCounted(item, "volume")) ||
    (explosiveReps !== undefined && isCounted(item, "explosive"));
  items.forEach((item, i) => {
    if (item.calm || !isAsked(item) || !levelsOf(item.dose)[idealLevel(item.dose)]?.uncounted) return;
    remarks.push({
      path: `plan.items[${i}].dose`,
      message: `${item.name}: how many actions it has is not known, so the limit on repetitions leaves it out. Say how often one comes.`,
    });
  });
  return remarks;
}
