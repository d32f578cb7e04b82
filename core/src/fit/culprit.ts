import { formatLength } from "../time/clock";
import { LONGEST_DAY } from "../venue/context";
import type { FitProblem, Rule } from "./model/problem";
import { problemOf } from "./model/problemOf";
import { rulesOf } from "./model/rules";
import { essentialNeeds, type Needs } from "./needs";

/** What stands in the way of the essentials, and by how much. */
interface Culprit {
  rule: Rule;
  /** Seconds by which a window would have to open earlier; null where that does not apply. */
  lackSeconds: number | null;
}

/**
 * The first rule without which every essential drill would fit, at its floor, where no amount of time helps; null when they
 * fit, or when it takes more than one rule. Where time helps, time is the reason: of a place alone it is said as well, when
 * it would have to open earlier by less than is missing.
 */
function culpritOf(problem: FitProblem, needs: Needs, availableSeconds: number): Culprit | null {
  if (needs.essentials <= availableSeconds) return null;
  const never = !Number.isFinite(needs.essentials);
  const limit = never ? LONGEST_DAY : availableSeconds;
  const { plan, context } = problem;
  for (const rule of rulesOf(problem)) {
    // The wait is not a culprit: it is what the time is for.
    if (rule.kind === "wait" || !(never || rule.kind === "window")) continue;
    if (essentialNeeds(problemOf(plan, context, { without: rule })) > limit) continue;
    const lackSeconds = rule.kind === "window" ? windowLack(problem, rule.place, limit) : null;
    if (never || (lackSeconds !== null && lackSeconds < needs.essentials - availableSeconds))
      return { rule, lackSeconds };
  }
  return null;
}

/** By how many seconds the windows of a place would have to open earlier, at least, for the essentials to fit. */
function windowLack({ plan, context }: FitProblem, place: number, limit: number): number | null {
  const opened = (by: number) => ({
    ...context,
    places: context.places.map((p, i) =>
      i === place ? { ...p, windows: p.windows.map((w) => ({ ...w, fromSeconds: w.fromSeconds - by })) } : p,
    ),
  });
  const enough = (by: number) => essentialNeeds(problemOf(plan, opened(by))) <= limit;
  let low = 0;
  let high = 7200;
  if (!enough(high)) return null;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** A culprit with its words. */
export interface NamedCulprit {
  /** Null when it takes several rules together. */
  rule: Rule | null;
  /** @example "Rink is the reason: it would have to open 1:30 earlier." */
  line: string;
}

/** What keeps the essentials from fitting; null when they fit or only time is missing. */
export function namedCulprit(
  problem: FitProblem,
  needs: Needs,
  availableSeconds: number,
): NamedCulprit | null {
  const culprit = culpritOf(problem, needs, availableSeconds);
  if (culprit) return { rule: culprit.rule, line: wordsFor(culprit, problem) };
  if (Number.isFinite(needs.essentials)) return null;
  return { rule: null, line: "Several of the day's limits together keep the essential drills apart." };
}

function wordsFor({ rule, lackSeconds }: Culprit, problem: FitProblem): string {
  switch (rule.kind) {
    case "window": {
      const place = problem.places[rule.place];
      return lackSeconds === null
        ? `${place} is the reason: its windows are too short for what is essential there.`
        : `${place} is the reason: it would have to open ${formatLength(lackSeconds)} earlier.`;
    }
    case "point":
      return `${problem.points[rule.point]?.name} is the reason: without it, or at another time, the essential drills would fit.`;
    case "step":
      return "Some essential drills stand a steeper step apart than this plan allows: add a drill between them, lower one, or allow a larger step.";
    case "general":
      return "The limit on general work without a break is the reason: raise it, or put a breather between.";
    case "cap":
      return {
        volume: "The limit on repetitions is the reason: raise it, or lower the floors.",
        explosive: "The limit on explosive repetitions is the reason: raise it, or lower the floors.",
        easy: "The easy share is the reason: add easy work, or ask for less of it.",
      }[rule.cap];
    case "pair":
      return "A drill that must follow another is the reason: take the pair out, or make both essential.";
    case "rest":
      return "The rests owed inside are the reason: shorten them, or the work before them.";
    case "owed":
      return "The rest owed before the start is the reason: lower the hardest drill, or ask for less rest.";
    case "travel":
      return "The ways between places are the reason: there is no time to get from one to the other.";
    case "kit":
      return "Kit is the reason: what needs it is not done without it, and there is no time to put it on. If it is on already, say so.";
    case "wait":
      return "The least wait before the start is the reason.";
  }
}
