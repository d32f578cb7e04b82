import { describeChange } from "../dose/describeChange";
import { spokenLength } from "../time/clock";
import type { Fit, Placement } from "./fit";

/** One thing the fit gave up, in words. */
export interface GivenUp {
  itemId: string;
  name: string;
  /** "left out", or "3 → 2 sets". */
  change: string;
  /** Why, as a sentence. */
  reason: string;
}

/** Everything below its ideal, in plan order, with the rule that bound. */
export function givenUp(fit: Fit): GivenUp[] {
  return fit.placements
    .filter((p) => p.bound !== null)
    .map((p) => ({
      itemId: p.item.id,
      name: p.item.name,
      change: changeOf(p),
      reason: reasonOf(p),
    }));
}

/**
 * One line saying what was given up.
 * @example "Gave up 2: Walking lunges 3 → 2 sets, Ice strides left out"
 */
export function givenUpLine(fit: Fit): string {
  if (fit.placements.length === 0) return "No drills yet.";
  const list = givenUp(fit);
  if (fit.stepBlocked) {
    return "Essential drills are too steep a step apart: add a drill between, or allow a larger step.";
  }
  const lead = fit.state === "short" ? `Essentials are ${spokenLength(fit.missingSeconds)} short. ` : "";
  if (list.length === 0)
    return fit.spareSeconds > 0
      ? `Nothing given up, ${spokenLength(fit.spareSeconds)} spare.`
      : "Nothing given up.";
  const named = list.map((g) => `${g.name} ${g.change}`);
  const shown = named.slice(0, 3).join(", ");
  const more = named.length > 3 ? ` and ${named.length - 3} more` : "";
  return `${lead}Gave up ${list.length}: ${shown}${more}`;
}

function changeOf(p: Placement): string {
  return p.level ? describeChange(p.ideal, p.level) : "left out";
}

function reasonOf(p: Placement): string {
  if (p.bound === "step") {
    return "The step up from the technical drill kept before it would be too large.";
  }
  if (p.verdict === "left-out") {
    return p.item.priority === "essential"
      ? "Not enough time for every essential drill."
      : `Not enough time: it is ${p.item.priority === "useful" ? "only useful" : "an extra"}, and what matters more comes first.`;
  }
  if (p.verdict === "floor") return "Not enough time: held at its floor.";
  return "Not enough time for its ideal.";
}

/**
 * What one fit has over another, drill by drill: what five more minutes buy, or five fewer cost.
 * @returns sentences in plan order, empty when both are the same
 * @example compareFits(now, later) // ["Spins comes back", "Walking lunges 2 → 3 sets"]
 */
export function compareFits(from: Fit, to: Fit): string[] {
  return from.placements.flatMap((was, i) => {
    const is = to.placements[i];
    if (!is || was.levelIndex === is.levelIndex) return [];
    if (!was.level) return [`${was.item.name} comes back`];
    if (!is.level) return [`${was.item.name} left out`];
    return [`${was.item.name} ${describeChange(was.level, is.level)}`];
  });
}
