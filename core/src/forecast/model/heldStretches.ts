import { type Curve, minutes } from "./curve";
import { HOLD_FORGOTTEN, LONG_HOLD, LONG_HOLD_COST, SHORT_HOLD_COST } from "./parameters";
import type { Piece } from "./piece";

/**
 * What held stretches still cost, as a share of performance: the dearest of them counts, a long one about 5 % at first and a
 * short one 1 %, less with every minute of moving work after it.
 */
export function heldOf(pieces: readonly Piece[]): Curve {
  const holds = pieces.flatMap((piece, i) => (piece.hold ? [{ piece, i }] : []));
  return {
    at: (seconds) =>
      holds.reduce((most, { piece, i }) => {
        if (seconds < piece.toSeconds) return most;
        const cost = (piece.hold?.seconds ?? 0) >= LONG_HOLD ? LONG_HOLD_COST : SHORT_HOLD_COST;
        const moved = pieces.slice(i + 1).reduce((sum, p) => sum + movedIn(p, seconds), 0);
        return Math.max(most, cost * Math.max(0, 1 - minutes(moved) / HOLD_FORGOTTEN));
      }, 0),
  };
}

/** Seconds of moving work in a piece up to a moment. */
function movedIn({ effort, hold, fromSeconds, toSeconds }: Piece, until: number): number {
  return effort > 0 && !hold ? Math.max(0, Math.min(toSeconds, until) - fromSeconds) : 0;
}
