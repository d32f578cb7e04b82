import type { Finding } from "../../plan/finding";
import type { PlanBody } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import { type NamedCulprit, namedCulprit } from "../culprit";
import { fitAt, fitPlan } from "../fit";
import type { Needs } from "../needs";
import { profileAt } from "../profile";
import { compareFits, costOf } from "./compareFits";
import { type GivenUp, givenUp } from "./explain";
import { remarksOn } from "./remarks";

/** Everything there is to say about a fit beyond the plan itself. */
export interface Explanation {
  /** The time available that it is about, seconds. */
  availableSeconds: number;
  given: GivenUp[];
  /** What keeps the essentials from fitting; null when they fit, or only time is missing. */
  culprit: NamedCulprit | null;
  /** The last moments to begin. */
  needs: Needs;
  /** What five minutes more would buy, and five fewer cost, in sentences. */
  fiveMore: string[];
  fiveFewer: string[];
  /** What cannot be as it is asked for. */
  remarks: Finding[];
}

const FIVE = 300;

/**
 * Says what a fit gave up and why, and what a little more or less time would change.
 * @example explanationOf(plan, openDay(), 1_500) // what 25 min leave out, and why
 */
export function explanationOf(plan: PlanBody, context: FitContext, availableSeconds: number): Explanation {
  const profile = profileAt(plan, context, availableSeconds);
  const fit = fitAt(profile, availableSeconds);
  const other = (by: number) => fitPlan(plan, availableSeconds + by, context);
  return {
    availableSeconds: fit.availableSeconds,
    given: givenUp(profile, fit),
    culprit:
      fit.state === "short" ? namedCulprit(profile.problem, profile.needs, fit.availableSeconds) : null,
    needs: profile.needs,
    fiveMore: compareFits(fit, other(FIVE)),
    fiveFewer: costOf(fit, other(-FIVE)),
    remarks: remarksOn(plan, context),
  };
}
