import { climbOf } from "../dose/ladder/climb";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { isForHead } from "../drill/details";
import { EASY_EFFORT } from "../words/effort";
import type { PlanItem } from "./plan";

/**
 * What a drill is to the climb: it *climbs* (its effort may rise by no more than the step over what is done before it), it
 * *leads* up to the climb (what comes after goes on from its effort), or it is nothing to it.
 */
export type ClimbPart = "climbs" | "leads" | null;

/**
 * The sport's own work and priming climb; raising and mobilising lead. Kit, what is calm, a breather and what is for the
 * head alone are rest from it: the climb goes on from what was before.
 */
export function climbPartOf({
  phase,
  calm,
  details,
}: Pick<PlanItem, "phase" | "calm" | "details">): ClimbPart {
  if (phase === "kit" || calm || details?.flags.includes("breather") || isForHead(details)) return null;
  return phase === "technical" || phase === "prime" ? "climbs" : "leads";
}

/**
 * True when a drill that climbs may follow another.
 * Only rises are limited: stepping down is always allowed, and where nothing was done before it may begin anywhere.
 * @param from intensity of what was done last, or null when there was nothing
 * @param to intensity of the next; `points` the largest allowed rise
 */
export function stepAllowed(from: number | null, to: number, points: number): boolean {
  return from === null || to - from <= points;
}

/**
 * What a drill with nothing before it goes on from, per cent: the sport's own may begin anywhere (null), priming from easy
 * effort, because nobody primes a cold body. Custom.
 */
export const fromNothing = (phase: PlanItem["phase"]): number | null =>
  phase === "prime" ? EASY_EFFORT : null;

/** A step that is steeper than the plan allows. */
export interface SteepStep {
  /** What is stepped up from; null where nothing is before it. */
  fromId: string | null;
  /** The drill that is stepped up to; the ladder itself when the step is between its rungs. */
  toId: string;
  /** Rise in points of effort. */
  rise: number;
}

/** The places where the plan as written climbs more steeply than it allows itself. */
export function steepSteps(
  items: readonly Pick<PlanItem, "id" | "phase" | "intensity" | "dose" | "calm" | "details">[],
  points: number,
): SteepStep[] {
  const parts = items.flatMap((item) => {
    const part = climbPartOf(item);
    const { id, phase, intensity, dose } = item;
    return part ? [{ id, part, phase, ...climbOf({ intensity }, levelsOf(dose)[idealLevel(dose)]) }] : [];
  });
  return parts.flatMap((to, k): SteepStep[] => {
    const before = parts[k - 1];
    const from = before ? before.to : fromNothing(to.phase);
    if (to.part === "leads") return [];
    if (from !== null && !stepAllowed(from, to.from, points))
      return [{ fromId: before?.id ?? null, toId: to.id, rise: to.from - from }];
    return to.rise > points ? [{ fromId: to.id, toId: to.id, rise: to.rise }] : [];
  });
}
