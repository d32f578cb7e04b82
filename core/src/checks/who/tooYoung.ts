import { USUAL_BY_AGE } from "../../age/ageRules";
import { isExplosive } from "../../plan/counted";
import type { PlanItem } from "../../plan/plan";
import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A drill that is not for this age. */
export const tooYoung = check({
  code: "too-young",
  name: "Too young for it",
  severity: "stop",
  when: "A drill is for older athletes, or loads or lifts a child.",
  rests:
    "The drill's own least age; for children simple whole-body movements, no loading, and the rules of the governing body.",
  figures: {
    child: {
      value: USUAL_BY_AGE.childUnder,
      unit: "years",
      least: 5,
      most: 18,
      words: "Age below which nothing is loaded, lifted or explosive",
    },
  },
  find: (situation, { child }) => {
    const { age, plan } = situation;
    if (age === null) return [];
    return plan.items.flatMap((item) => {
      const least = item.details?.leastAge ?? 0;
      const hard = age < child ? notForChild(item) : null;
      if (least <= age && !hard) return [];
      return [
        {
          itemId: item.id,
          words:
            least > age
              ? `${item.name} is for ${least} and older. The rules of the governing body come first.`
              : `${item.name} ${hard}, which is not for a child under ${child}. The rules of the governing body come first.`,
          mends: insteadOf(situation, item),
        },
      ];
    });
  },
});

/** What of a drill is not for a child; null where nothing is. */
export function notForChild(item: Pick<PlanItem, "details">): string | null {
  if (isExplosive(item)) return "is explosive";
  const isShared = (item.details?.people ?? 1) > 1;
  return isShared && (item.details?.loads.length ?? 0) > 0 ? "lifts or loads with a partner" : null;
}
