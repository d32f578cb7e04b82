import { checkPlan } from "../../checks/checkPlan";
import { type Doing, isWork } from "../../checks/terms/doing";
import { type Situation, situationOf } from "../../checks/terms/situation";
import { fitPlan } from "../../fit/fit";
import type { Finding } from "../../plan/finding";
import type { PlanBody } from "../../plan/plan";
import type { FillInput } from "../input/fillInput";

/** A filled plan as it fits its time and day, and what there is to say against it. */
export interface JudgedFill {
  situation: Situation;
  found: readonly Finding[];
  /** What is done of it with the body, in order. */
  work: readonly Doing[];
}

/** Fits and judges a filled plan. */
export function judgedFill(body: PlanBody, input: Omit<FillInput, "approach" | "makeId">): JudgedFill {
  const { athlete, event, setting, day, context, earlier, before = [], availableSeconds, figures } = input;
  const fit = fitPlan(body, availableSeconds, context);
  const situation = situationOf({
    ...{ plan: body, fit, context, setting, athlete, event, day, earlier, before },
    ...{ readySeconds: null, untilStart: null, shelf: [], culprit: fit.culprit },
  });
  return { situation, found: checkPlan(situation, figures), work: situation.doings.filter(isWork) };
}

/** Seconds that some things done take. */
export const secondsDone = (list: readonly Doing[]): number =>
  list.reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
