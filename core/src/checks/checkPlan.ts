import type { Explanation } from "../fit/explain/explanation";
import type { Fit } from "../fit/fit";
import type { Finding, Severity } from "../plan/finding";
import type { PlanBody } from "../plan/plan";
import { stepFindings } from "../plan/stepRule";
import { spokenLength } from "../time/clock";

const GRAVEST: readonly Severity[] = ["stop", "warn", "hint"];

/**
 * Everything there is to say against a plan as it fits its day, gravest first.
 * @param fit of the plan, and its explanation, for one time available
 */
export function checkPlan(
  plan: PlanBody,
  fit: Fit,
  { culprit, remarks }: Pick<Explanation, "culprit" | "remarks">,
): Finding[] {
  const found = [
    ...stepFindings(plan.items, plan.stepPoints),
    ...fitFindings(fit, culprit?.line ?? null),
    ...remarks,
  ];
  return found.toSorted((a, b) => GRAVEST.indexOf(a.severity) - GRAVEST.indexOf(b.severity));
}

/** Why the essentials do not fit: by how much time, and what besides; empty when they do. */
export function whyNot(
  { state, missingSeconds }: Pick<Fit, "state" | "missingSeconds">,
  culprit: string | null,
): string {
  if (state !== "short") return "";
  const time = missingSeconds > 0 ? `The essentials need ${spokenLength(missingSeconds)} more.` : "";
  return [time, culprit ?? ""].filter(Boolean).join(" ");
}

function fitFindings(fit: Fit, culprit: string | null): Finding[] {
  const whole = { itemId: null, mends: [] };
  const short: Finding = {
    ...whole,
    code: "essentials-short",
    severity: "stop",
    where: ["availableSeconds"],
    words: whyNot(fit, culprit),
  };
  const late: Finding = {
    ...whole,
    code: "wait-too-long",
    severity: "warn",
    where: ["plan", "wait", "longestSeconds"],
    words: `The wait is ${spokenLength(fit.waitOverSeconds)} longer than tolerated.`,
  };
  return [...(fit.state === "short" ? [short] : []), ...(fit.waitOverSeconds > 0 ? [late] : [])];
}
