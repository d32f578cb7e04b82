import { itemsDone } from "../../checks/terms/doing";
import type { Situation } from "../../checks/terms/situation";
import { coverageOf } from "../../plan/coverage";

/** What of the event nothing that is done touches. */
export function coldOf({ event, fit }: Pick<Situation, "event" | "fit">) {
  const { actions, areas } = coverageOf(itemsDone(fit), event ?? { actions: [], areas: [] });
  return { actions: actions.filter((a) => a.by.length === 0), areas: areas.filter((a) => a.by.length === 0) };
}
