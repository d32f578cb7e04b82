import { idealLevel, levelsOf } from "../../dose/levelsOf";
import { isCounted } from "../../plan/counted";
import type { Finding } from "../../plan/finding";
import type { PlanBody, PlanItem } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import { wordKey } from "../../words/sameWord";

/** What is said of a plan on its day: places that the day does not know, and limits that cannot be kept. */
export function remarksOn(plan: PlanBody, context: FitContext): Finding[] {
  return [...unknownPlaces(plan, context), ...unkeptLimits(plan, context)];
}

/** What cannot be as it is asked for does not stop the fit; what mends it only the coach can know. */
const ASKED = { severity: "warn" as const, mends: [] };

/** A day that names no place knows none: then a drill's place is only the coach's word for it. */
function unknownPlaces({ items }: PlanBody, { places }: FitContext): Finding[] {
  if (places.length === 0) return [];
  const known = new Set(places.map((p) => wordKey(p.name)));
  const unknown = new Map<string, { item: PlanItem; index: number }[]>();
  items.forEach((item, index) => {
    const key = wordKey(item.place);
    if (key !== "" && !known.has(key)) unknown.set(key, [...(unknown.get(key) ?? []), { item, index }]);
  });
  // Once for each place, however many drills name it.
  return [...unknown.values()].flatMap(([first, ...others]): Finding[] => {
    if (!first) return [];
    const { item, index } = first;
    const [who, they] =
      others.length === 0 ? [item.name, "it is"] : [`${item.name} and ${others.length} more`, "they are"];
    return [
      {
        ...ASKED,
        code: "unknown-place",
        where: ["plan", "items", index, "place"],
        itemId: item.id,
        words: `${who}: this day has no place “${item.place}”, so ${they} fitted in anywhere. Add the place, or choose one there is.`,
      },
    ];
  });
}

function unkeptLimits({ items, limits }: PlanBody, { usualReps }: FitContext): Finding[] {
  const { volumePercent, explosiveReps } = limits ?? {};
  const remarks: Finding[] = [];
  if (volumePercent !== undefined && usualReps === 0)
    remarks.push({
      ...ASKED,
      code: "unknown-session",
      where: ["plan", "limits", "volumePercent"],
      itemId: null,
      words:
        "The share of the usual session cannot be kept: how many repetitions that has is not known. Write it down for the athlete, or take the limit out.",
    });
  const isAsked = (item: PlanItem) =>
    (volumePercent !== undefined && usualReps > 0 && isCounted(item, "volume")) ||
    (explosiveReps !== undefined && isCounted(item, "explosive"));
  items.forEach((item, i) => {
    if (item.calm || !isAsked(item) || !levelsOf(item.dose)[idealLevel(item.dose)]?.uncounted) return;
    remarks.push({
      ...ASKED,
      code: "uncounted-actions",
      where: ["plan", "items", i, "dose"],
      itemId: item.id,
      words: `${item.name}: how many actions it has is not known, so the limit on repetitions leaves it out. Say how often one comes.`,
    });
  });
  return remarks;
}
