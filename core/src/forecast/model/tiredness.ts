import { type Curve, minutes, pieceAt } from "./curve";
import {
  FAST_FROM,
  FAST_RATE,
  type Person,
  SLOW_FROM,
  SLOW_POWER,
  SLOW_RATE,
  USUAL_MINUTES,
} from "./parameters";
import { type Piece, workingEffort } from "./piece";
import type { Surroundings } from "./surroundings";

/**
 * Tiredness as a share of performance that it costs: a fast pool and a slow one, each fed by what of the working effort is
 * above a threshold, the slow one the more the less is usual, and each forgetting exponentially.
 * (Bogdanis 1995 for the fast pool; the coaches' rule of five times the effort for the slow one.)
 */
export function tirednessOf(pieces: readonly Piece[], person: Person, around: Surroundings): Curve {
  const working = (piece: Piece | undefined) => (piece ? workingEffort(piece, person.duty) : 0);
  const fast = pool(pieces, person.fast, (piece) => {
    return around.cost * FAST_RATE * Math.max(0, working(piece) - FAST_FROM) ** 2;
  });
  const slow = pool(pieces, person.slow, (piece) => {
    const over = Math.max(0, working(piece) - SLOW_FROM) ** SLOW_POWER;
    return (around.cost * SLOW_RATE * over * USUAL_MINUTES) / around.usualMinutes;
  });
  return { at: (seconds) => fast(seconds) + slow(seconds) };
}

/** What is left at a moment of what is fed at a steady rate in each piece and forgotten with a time constant in minutes. */
function pool(
  pieces: readonly Piece[],
  constant: number,
  feed: (piece: Piece | undefined) => number,
): (seconds: number) => number {
  const after = (from: number, rate: number, seconds: number) => {
    const left = Math.exp(-minutes(seconds) / constant);
    return from * left + rate * constant * (1 - left);
  };
  const before = [0];
  pieces.forEach((piece, i) => {
    before.push(after(before[i] as number, feed(piece), piece.toSeconds - piece.fromSeconds));
  });
  return (seconds) => {
    const i = pieceAt(pieces, seconds);
    if (i < 0) return 0;
    const piece = pieces[i];
    const since = piece ? piece.fromSeconds : (pieces.at(-1)?.toSeconds ?? seconds);
    return after(before[i] as number, feed(piece), seconds - since);
  };
}
