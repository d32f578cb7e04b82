import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** A competition, and no routine in the wait. */
export const nothingForHead = check({
  code: "nothing-for-the-head",
  name: "Nothing for the head",
  severity: "hint",
  when: "Before a competition nothing in the warm-up is for the head.",
  rests: "Coaches end the wait with a routine: breathing, a cue phrase, picturing the first actions.",
  figures: {},
  find: (situation) => {
    const items = itemsDone(situation.fit);
    if (!situation.event || items.length === 0) return [];
    if (items.some((i) => i.details?.purposes.includes("mental") || i.calm === "quiet")) return [];
    return [
      {
        words: "Nothing in the wait is for the head: breathing, a cue phrase, picturing the first actions.",
        mends: addFromShelf(situation, (d) => d.details?.purposes.includes("mental") ?? false, {
          before: null,
          calm: "quiet",
        }),
      },
    ];
  },
});
