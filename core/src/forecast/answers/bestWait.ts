import type { Model } from "../model/model";
import type { Piece } from "../model/piece";

/** A range of moments or lengths, seconds. */
export interface Stretch {
  fromSeconds: number;
  toSeconds: number;
}

/** When somebody would be readiest if nothing more were done. */
export interface BestWait {
  /** The wait after the last drill at which readiness is near its highest, and that at which it is highest. */
  wait: Stretch;
  bestSeconds: number;
  /** Whether the wait as planned lies within it. */
  isNear: boolean;
}

/** So near the highest readiness is as good as it, points. Custom. */
export const NEAR_POINTS = 0.5;
/** Waits are looked at up to here, in steps of so much, seconds. */
export const LONGEST_WAIT = 3600;
const STEP_SECONDS = 30;

/**
 * The wait that suits a warm-up best; null of one in which nothing is done.
 * @param model of the middle person, whose last drill is over where the last piece with an effort ends
 */
export function bestWaitOf(pieces: readonly Piece[], model: Model): BestWait | null {
  const last = pieces.findLast((p) => p.effort > 0);
  if (!last) return null;
  const planned = Math.max(0, -last.toSeconds);
  const steps = Array.from({ length: LONGEST_WAIT / STEP_SECONDS + 1 }, (_, i) => i * STEP_SECONDS);
  const ready = steps.map((wait) => model.at(last.toSeconds + wait).readiness);
  const most = Math.max(...ready);
  const near = steps.filter((_, i) => (ready[i] as number) >= most - NEAR_POINTS);
  const wait = { fromSeconds: near[0] as number, toSeconds: near.at(-1) as number };
  return {
    wait,
    bestSeconds: steps[ready.indexOf(most)] as number,
    isNear: planned >= wait.fromSeconds && planned <= wait.toSeconds,
  };
}
