import { type Curve, minutes, pieceAt } from "./curve";
import { LAYERS_KEEP, NEUTRAL_AIR, PER_DEGREE_OF_AIR, type Person } from "./parameters";
import { type Piece, workingEffort } from "./piece";
import type { Surroundings } from "./surroundings";

/**
 * Warmth of the muscles above their neutral rest, °C: dM/dt = (M∞ − M)/τ, with M∞ = top · w^pow less what cold air takes,
 * and τ that of warming or of cooling. Within a piece it goes to M∞ in closed form; after the last, and before the first,
 * nothing is done. Neutral (0) when the warm-up begins.
 * (Saltin, Gagge & Stolwijk 1968; Bishop 2003: exponential approach to a level set by the effort.)
 */
export function warmthOf(pieces: readonly Piece[], person: Person, around: Surroundings): Curve {
  const taken = PER_DEGREE_OF_AIR * (NEUTRAL_AIR - around.temperature) * (around.layers ? LAYERS_KEEP : 1);
  const cooling =
    person.cooling *
    (around.layers ? person.wear : 1) *
    (1 - around.wind * (1 - person.wind)) *
    (around.wet ? person.wet : 1);
  const settles = (piece: Piece | undefined) =>
    (piece ? person.top * workingEffort(piece, person.duty) ** person.pow : 0) - taken;
  const after = (from: number, target: number, seconds: number) =>
    target + (from - target) * Math.exp(-minutes(seconds) / (target > from ? person.warming : cooling));
  const before: number[] = [0];
  pieces.forEach((piece, i) => {
    before.push(after(before[i] as number, settles(piece), piece.toSeconds - piece.fromSeconds));
  });
  return {
    at: (seconds) => {
      const i = pieceAt(pieces, seconds);
      if (i < 0) return 0;
      const piece = pieces[i];
      const since = piece ? piece.fromSeconds : (pieces.at(-1)?.toSeconds ?? seconds);
      return after(before[i] as number, settles(piece), seconds - since);
    },
  };
}
