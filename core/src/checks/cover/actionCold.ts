import { coverageOf } from "../../plan/coverage";
import type { PlanItem } from "../../plan/plan";
import { wordKey } from "../../words/sameWord";
import { stillWarmFrom } from "../climb/straightToHard";
import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** An action of the event that nothing touches. */
export const actionCold = check({
  code: "action-cold",
  name: "Left cold: an action",
  severity: "warn",
  when: "The event uses an action that nothing in the warm-up prepares.",
  rests: "Every action that will be used is covered: coaches keep a list and tick it off.",
  figures: {},
  find: (situation, _figures, club) => {
    const { event, fit, before } = situation;
    const items = itemsDone(fit);
    // Where no drill says what it prepares, nothing is known to be cold.
    const isKnown = items.some((i) => (i.details?.actions.length ?? 0) > 0 || hasLabels(i));
    if (!event || !isKnown) return [];
    const stillWarm = stillWarmFrom(before, club);
    return coverageOf(items, event)
      .actions.filter((a) => a.by.length === 0 && !stillWarm.has(wordKey(a.what)))
      .map(({ what }) => ({
        words: `Nothing prepares ${what}, which the event uses.`,
        mends: addFromShelf(
          situation,
          (d) => d.details?.actions.some((a) => wordKey(a) === wordKey(what)) ?? false,
        ),
      }));
  },
});

const hasLabels = ({ dose }: PlanItem) => dose.kind === "ladder" && dose.rungs.some((r) => r.label !== "");
