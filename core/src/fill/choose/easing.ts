import { actionsIn } from "../../checks/terms/doing";
import { EASY_EFFORT } from "../../words/effort";
import type { FillRules } from "../input/rules";
import type { Choice } from "./choice";

/** Actions of a drill that are done easily; of a ladder those of its easy rungs. */
export function easyReps({ level, drill }: Choice): number {
  const easy = level?.rungs
    ? level.rungs.filter((r) => r.intensity <= EASY_EFFORT)
    : drill.intensity <= EASY_EFFORT && level
      ? [level]
      : [];
  return easy.reduce((sum, of) => sum + actionsIn(of), 0);
}

/** Whether a drill does not go hard, or has enough easy repetitions of the same movement, its own among them, beside it. */
export function isEasedBy(
  c: Choice,
  among: Iterable<Choice>,
  { hardFrom, easyReps: wanted }: Pick<FillRules, "hardFrom" | "easyReps">,
): boolean {
  if (c.to <= hardFrom) return true;
  let reps = easyReps(c);
  for (const o of among) if (o !== c && isLike(o, c)) reps += easyReps(o);
  return reps >= wanted;
}

/** Whether a drill is of an action that is still prepared from earlier on the day. */
export const isStillWarm = (c: Pick<Choice, "actions">, stillWarm: ReadonlySet<string>): boolean =>
  c.actions.some((action) => stillWarm.has(action));

/** Of one movement: they prepare an action in common; what names none is like all of its kind. */
const isLike = (a: Choice, b: Choice) =>
  b.actions.length === 0 || a.actions.some((action) => b.actions.includes(action));
