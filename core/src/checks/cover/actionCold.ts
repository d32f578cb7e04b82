import { coverageOf } from "../../plan/coverage";
import { wordKey } from "../../words/sameWord";
import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** An action of the event that nothing touches. */
export const actionCold = check({
  code: "action-cold",
  name: "Left cold: an action",
  severity: "warn",
  when: "The event uses an action that nothing in the warm-up prepares.",
  rests: "Every action that will be used is touched: coaches keep a list and tick it off.",
  figures: {},
  find: (situation) => {
    const { event, fit } = situation;
    const items = itemsDone(fit);
    if (!event || items.length === 0) return [];
    return coverageOf(items, event)
      .actions.filter((a) => a.by.length === 0)
      .map(({ what }) => ({
        words: `Nothing prepares ${what}, which the event uses.`,
        mends: addFromShelf(
          situation,
          (d) => d.details?.actions.some((a) => wordKey(a) === wordKey(what)) ?? false,
        ),
      }));
  },
});
