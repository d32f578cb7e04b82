import { loadedOf } from "../../plan/protect";
import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A drill that loads a protected part. */
export const soreLoaded = check({
  code: "sore-part-loaded",
  name: "Sore part loaded",
  severity: "warn",
  when: "A drill loads a part of the body to be protected on the day.",
  rests: "What the club has written down of the athlete. Whoever treats them decides what may be loaded.",
  figures: {
    stop: { value: 60, unit: "%", least: 0, most: 100, words: "Effort above which it is a stop" },
  },
  find: (situation, { stop }) =>
    situation.plan.items.flatMap((item) => {
      const loads = loadedOf(item, situation.protectedAreas);
      if (loads.length === 0) return [];
      return [
        {
          itemId: item.id,
          ...(item.intensity > stop ? { severity: "stop" as const } : {}),
          words: `${item.name} loads the ${loads.join(", the ")}, to be protected on this day. Whoever treats them decides.`,
          mends: insteadOf(situation, item),
        },
      ];
    }),
});
