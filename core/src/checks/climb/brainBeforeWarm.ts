import { EASY_EFFORT } from "../../words/effort";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** A coordination drill before they have moved a while. */
export const brainBeforeWarm = check({
  code: "brain-before-warm",
  name: "Brain before warm",
  severity: "hint",
  when: "A coordination drill comes before enough easy movement.",
  rests: "Coaches put a drill that taxes the brain as well as the body late in its part.",
  figures: {
    minutes: { value: 3, unit: "min", least: 1, most: 15, words: "Easy movement before it" },
  },
  find: ({ plan, doings }, { minutes }) =>
    doings.flatMap((doing, i) => {
      if (!doing.item.details?.purposes.includes("coordinate")) return [];
      const easy = doings
        .slice(0, i)
        .filter((d) => isWork(d) && d.effort > 0 && d.effort <= EASY_EFFORT)
        .reduce((sum, d) => sum + d.workSeconds, 0);
      if (easy >= minutes * 60) return [];
      const at = plan.items.findIndex((p) => p.id === doing.item.id);
      const next = plan.items.findIndex((p, k) => k > at && p.phase !== doing.item.phase);
      const before = next < 0 ? null : (plan.items[next]?.id ?? null);
      const isLast = next === at + 1 || (next < 0 && at === plan.items.length - 1);
      return [
        {
          itemId: doing.item.id,
          words: `${doing.name} asks for the head before ${minutes} min of easy movement.`,
          mends: isLast
            ? []
            : [{ words: "Later in its part", edits: [{ kind: "move", itemId: doing.item.id, before }] }],
        },
      ];
    }),
});
