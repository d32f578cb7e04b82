import { describeChange } from "../../dose/describeChange";
import type { Finding, Mend } from "../../plan/finding";
import { spokenLength } from "../../time/clock";
import { PRIORITIES, type Priority } from "../../words/priority";
import type { Fit, Placement } from "../fit";
import type { FitProfile } from "../profile";
import { type Binding, bindingsOf } from "./bindings";
import { steepLeftOut } from "./steepLeftOut";

/** One thing the fit gave up, in words; what mends it is to let it matter more. */
export interface GivenUp extends Finding {
  itemId: string;
  name: string;
  /** "left out", or "2 sets (wanted 3)". */
  change: string;
  /** What was binding, as a sentence. */
  reason: string;
  binding: Binding;
}

/** Everything below its ideal, in the order it is done, with what was binding. */
export function givenUp(profile: FitProfile, fit: Fit): GivenUp[] {
  const bindings = bindingsOf(profile, fit);
  const at = new Map(profile.problem.plan.items.map((item, i) => [item.id, i]));
  return fit.placements.filter(isBelow).map((p): GivenUp => {
    const { id, name, priority } = p.item;
    const binding = bindings.get(id) ?? { kind: "together" };
    const change = changeOf(p);
    const reason = reasonOf(p, binding, profile);
    return {
      code: "given-up",
      severity: "hint",
      where: ["plan", "items", at.get(id) ?? 0],
      itemId: id,
      words: `${name}: ${change}. ${reason}`,
      mends: mendsOf(id, priority),
      name,
      change,
      reason,
      binding,
    };
  });
}

const PRIORITY_WORDS: Record<Priority, string> = {
  essential: "essential",
  useful: "useful",
  extra: "an extra",
};

function mendsOf(itemId: string, priority: Priority): Mend[] {
  const higher = PRIORITIES[PRIORITIES.indexOf(priority) - 1];
  if (!higher) return [];
  const edit = { kind: "change" as const, itemId, change: { priority: higher } };
  return [{ words: `Make it ${PRIORITY_WORDS[higher]}`, edits: [edit] }];
}

function isBelow({ verdict }: Placement): boolean {
  return verdict === "left-out" || verdict === "floor" || verdict === "shortened";
}

/**
 * One line saying what was given up.
 * @param stepPoints the largest rise that the plan allows, to say what was left out for that; left out, nothing is said of it
 * @example "2 cut to fit: Walking lunges 2 sets (wanted 3), Ice strides left out"
 */
export function givenUpLine(fit: Fit, stepPoints?: number): string {
  if (fit.placements.length === 0) return "No drills yet.";
  const list = fit.placements.filter(isBelow);
  if (fit.neverFits) return fit.culprit?.line ?? "Not every essential drill can be done, whatever the time.";
  const lead = fit.state === "short" ? `Essentials are ${spokenLength(fit.missingSeconds)} short. ` : "";
  if (list.length === 0)
    return fit.spareSeconds > 0
      ? `Everything fits, ${spokenLength(fit.spareSeconds)} to spare.`
      : "Everything fits.";
  const steep = new Set(stepPoints === undefined ? [] : steepLeftOut(fit, stepPoints));
  const named = list.map(
    (p) => `${p.item.name} ${changeOf(p)}${steep.has(p) ? ", the step is too steep" : ""}`,
  );
  const shown = named.slice(0, 3).join(", ");
  const more = named.length > 3 ? ` and ${named.length - 3} more` : "";
  return `${lead}${list.length} cut to fit: ${shown}${more}`;
}

function changeOf(p: Placement): string {
  return p.level ? describeChange(p.ideal, p.level, "wanted") : "left out";
}

function reasonOf(p: Placement, binding: Binding, { problem }: FitProfile): string {
  switch (binding.kind) {
    case "time":
      return timeReason(p);
    case "step":
      return "The step up from what is kept before it would be too large.";
    case "window":
      return `${problem.places[binding.place]} is not open long enough for it.`;
    case "point":
      return `${problem.points[binding.point]?.name} is in its way.`;
    case "general":
      return `It would be more than ${problem.generalMost / 60} min of general work without a break.`;
    case "cap":
      return {
        volume: "It would be more repetitions than the share of an ordinary session that is allowed.",
        explosive: "It would be more explosive repetitions than are allowed.",
        easy: "Too little of the warm-up would be easy.",
      }[binding.cap];
    case "pair":
      return "It must follow a drill that is not kept, or that one needs its place.";
    case "kit":
      return "It is not done without its kit, and there is no time to put that on: if it is on already, say so.";
    case "rest":
      return "The rest owed after it, or before it, leaves no room.";
    case "owed":
      return "So hard, it would need more rest before the start than there is.";
    case "travel":
      return "The way between places leaves no room for it.";
    case "wait":
      return "The least wait before the start leaves no room for it.";
    case "together":
      return "Several of the day's limits together leave no room for it.";
  }
}

function timeReason(p: Placement): string {
  if (p.verdict === "floor") return "Not enough time: held at its floor.";
  if (p.verdict !== "left-out") return "Not enough time for its target.";
  return p.item.priority === "essential"
    ? "Not enough time for every essential drill."
    : `Not enough time: it is ${p.item.priority === "useful" ? "only useful" : "an extra"}, and what matters more comes first.`;
}
