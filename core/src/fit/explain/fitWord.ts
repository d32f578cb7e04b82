import type { Fit } from "../fit";
import { steepLeftOut } from "./steepLeftOut";

const WORDS: Record<Fit["state"], string> = {
  fits: "fits",
  tight: "tight",
  short: "does not fit",
};

/**
 * The one word for how a fit stands, everywhere the same.
 * @param progress how far the best one is, from 0 to 1, while it is still being computed and that is known
 * @param failed whether the best one will not be known
 */
export function stateWord(
  state: Fit["state"],
  isBest: boolean,
  progress: number | null = null,
  failed = false,
): string {
  if (isBest) return WORDS[state];
  if (failed) return "not fitted";
  return progress === null ? "fitting …" : `fitting ${Math.round(progress * 100)} %`;
}

/**
 * Returns the same of a fit with its plan: what is left out for a step that is too steep is not for want of time, and a plan
 * without drills has no fit.
 * @example fitWord(fit, plan.stepPoints, { isBest: true, failed: false }) // "fits"
 */
export function fitWord(
  fit: Fit,
  stepPoints: number,
  { isBest, progress = null, failed }: { isBest: boolean; progress?: number | null; failed: boolean },
): string {
  if (isBest && fit.placements.length === 0) return "nothing yet";
  const lost = fit.placements.filter((p) => /left-out|floor|shortened/.test(p.verdict));
  const steep = fit.state === "tight" ? steepLeftOut(fit, stepPoints) : [];
  const isStep =
    isBest && steep.length > 0 && lost.every((p) => p.item.priority === "extra" || steep.includes(p));
  return isStep ? "fits but for a step" : stateWord(fit.state, isBest, progress, failed);
}
