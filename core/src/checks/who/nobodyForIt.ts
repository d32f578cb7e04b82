import { peopleFindings } from "../../plan/people";
import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A drill that needs more people than there are. */
export const nobodyForIt = check({
  code: "nobody-for-it",
  name: "Nobody to do it with",
  severity: "warn",
  when: "A drill needs more people than are at hand.",
  rests: "The start says who is at hand.",
  figures: {},
  find: (situation) => {
    const { plan, setting } = situation;
    return peopleFindings(plan.items, setting.people).map(({ itemId, words, mends }) => {
      const item = plan.items.find((i) => i.id === itemId);
      return {
        itemId: itemId ?? undefined,
        words: `${item?.name}: ${words.charAt(0).toLowerCase()}${words.slice(1)}`,
        mends: [...mends, ...(item ? insteadOf(situation, item) : [])].slice(0, 3),
      };
    });
  },
});
