import type { PlanItem } from "../../plan/plan";
import { wordKey } from "../../words/sameWord";
import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { isOwn } from "../terms/doing";

/** Near and far without the middle, or alone and then as in competition with nothing between. */
export const stageSkipped = check({
  code: "stage-skipped",
  name: "Stage skipped",
  severity: "warn",
  when: "The middle distance is missing between near and far, or a step of realism between alone and competition.",
  rests: "Skipping the middle is named as a common mistake by coaches of aiming and ball sports.",
  figures: {},
  find: (situation) => {
    const items = [...new Set(situation.doings.filter(isOwn).map((d) => d.item))];
    const has = (is: (item: PlanItem) => boolean) => items.find(is);
    const far = has((i) => i.details?.distance === "far");
    const isMiddle = ({ details }: Pick<PlanItem, "details">) => details?.distance === "middle";
    const middle = far && has((i) => i.details?.distance === "near") && !has(isMiddle);
    const real = has((i) => i.details?.realism === "competition");
    const isBetween = ({ details }: Pick<PlanItem, "details">) =>
      details?.realism === "approach" || details?.realism === "feed";
    const between = real && has((i) => i.details?.realism === "alone") && !has(isBetween);
    return [
      ...(middle
        ? [
            {
              itemId: far.id,
              words: `${far.name} is far, and between near and far nothing is done at the middle distance.`,
              mends: addFromShelf(situation, (d) => isMiddle(d) && isAlike(d, far)),
            },
          ]
        : []),
      ...(between
        ? [
            {
              itemId: real.id,
              words: `${real.name} is as in competition, and before it they have only worked alone: nothing with an approach or a feed.`,
              mends: addFromShelf(situation, (d) => isBetween(d) && isAlike(d, real)),
            },
          ]
        : []),
    ];
  },
});

/** Of the same part of a warm-up, and for an action in common where they name any. */
function isAlike(a: Pick<PlanItem, "phase" | "details">, b: PlanItem): boolean {
  const keys = new Set(b.details?.actions.map(wordKey));
  return (
    a.phase === b.phase && (keys.size === 0 || (a.details?.actions ?? []).some((x) => keys.has(wordKey(x))))
  );
}
