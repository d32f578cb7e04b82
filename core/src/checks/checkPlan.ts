import type { Finding, Severity } from "../plan/finding";
import { CHECKS } from "./list";
import { type ClubFigures, figuresOf } from "./terms/figures";
import type { Situation } from "./terms/situation";

const GRAVEST: readonly Severity[] = ["stop", "warn", "hint"];

/**
 * Everything there is to say against a plan as it fits its day, gravest first. What mends a finding is proposed, and not
 * yet tried: `withProvenMends` does that.
 * @param figures those that the club has of its own
 */
export function checkPlan(situation: Situation, figures: ClubFigures = []): Finding[] {
  return CHECKS.flatMap((check) => check.find(situation, figuresOf(check, figures), figures)).toSorted(
    (a, b) => GRAVEST.indexOf(a.severity) - GRAVEST.indexOf(b.severity),
  );
}
