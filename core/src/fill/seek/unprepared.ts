import { itemsDone } from "../../checks/terms/doing";
import type { Situation } from "../../checks/terms/situation";
import { coverageOf } from "../../plan/coverage";
import { wordKey } from "../../words/sameWord";

/**
 * Returns what of the event nothing that is done prepares.
 * @param stillWarm keys of actions that are still prepared from earlier on the day
 */
export function unpreparedOf(
  { event, fit }: Pick<Situation, "event" | "fit">,
  stillWarm: ReadonlySet<string>,
) {
  const { actions, areas } = coverageOf(itemsDone(fit), event ?? { actions: [], areas: [] });
  return {
    actions: actions.filter((a) => a.by.length === 0 && !stillWarm.has(wordKey(a.what))),
    areas: areas.filter((a) => a.by.length === 0),
  };
}
