import { coverageOf } from "../../plan/coverage";
import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** A part of the body that the event uses and nothing warms. */
export const areaCold = check({
  code: "area-cold",
  name: "Left cold: a part of the body",
  severity: "warn",
  when: "The event uses a part of the body that nothing in the warm-up warms.",
  rests: "One mobility drill for every big joint that the event uses is among the last to go.",
  figures: {},
  find: (situation) => {
    const { event, fit } = situation;
    const items = itemsDone(fit);
    // Where no drill says what it warms, nothing is known to be cold.
    if (!event || !items.some((i) => (i.details?.areas.length ?? 0) > 0)) return [];
    return coverageOf(items, event)
      .areas.filter((a) => a.by.length === 0)
      .map(({ what }) => ({
        words: `Nothing warms the ${what}, which the event uses.`,
        mends: addFromShelf(
          situation,
          (d) => d.phase === "mobilise" && (d.details?.areas.includes(what) ?? false),
        ),
      }));
  },
});
