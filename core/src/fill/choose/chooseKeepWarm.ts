import type { Situation } from "../../checks/terms/situation";
import { topUpFor } from "../../forecast/answers/topUp";
import { spokenLength } from "../../time/clock";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { raises } from "./chooseRaise";
import { withDose } from "./withDose";

/** From its end to the start, seconds: something quiet stands there, or the way to the start. Custom. */
const LEAST_QUIET = 60;

/**
 * Easy movement in the wait, where the forecast says that it keeps somebody warm who would be cold by the start: the shortest
 * that does, as a top-up is sought.
 * @param quiet what is done for the head after it
 */
export function chooseKeepWarm(
  choices: readonly Choice[],
  quiet: readonly Chosen[],
  { wholeDay, around }: Pick<Situation, "wholeDay" | "around">,
): Chosen[] {
  const pool = new Map(choices.filter(raises).map((c) => [c.whole.id, c]));
  const topUp = topUpFor({
    ...{ pieces: wholeDay, around, delaySeconds: 0, withEffort: false },
    drills: [...pool.values()].map((c) => c.drill),
    waitSeconds: Math.max(LEAST_QUIET, ...quiet.map((c) => choiceSeconds(c.choice))),
  });
  return (topUp?.steps ?? []).flatMap(({ drill, fromSeconds, toSeconds }): Chosen[] => {
    const choice = pool.get(drill.id ?? "");
    if (!choice) return [];
    const why = `Keeps warm: the wait is long, and after ${spokenLength(toSeconds - fromSeconds)} of it the start is warm again.`;
    return [{ choice: withDose(choice, drill.dose), priority: "useful", why }];
  });
}
