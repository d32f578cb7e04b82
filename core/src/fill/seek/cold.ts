import { itemsDone } from "../../checks/terms/doing";
import type { Situation } from "../../checks/terms/situation";
import { coverageOf } from "../../plan/coverage";
import { wordKey } from "../../words/sameWord";

/** What of the event nothing that is done touches. @param fresh keys of actions that are still prepared from earlier on the day */
export function coldOf({ event, fit }: Pick<Situation, "event" | "fit">, fresh: ReadonlySet<string>) {
  const { actions, areas } = coverageOf(itemsDone(fit), event ?? { actions: [], areas: [] });
  return {
    actions: actions.filter((a) => a.by.length === 0 && !fresh.has(wordKey(a.what))),
    areas: areas.filter((a) => a.by.length === 0),
  };
}
