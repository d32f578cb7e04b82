import type { Piece } from "./piece";

/** A quantity that follows the pieces: its value at the end of each, and within one. */
export interface Curve {
  /** @param seconds from the start */
  at: (seconds: number) => number;
}

/** Seconds to minutes, in which every figure of the model is. */
export const minutes = (seconds: number): number => seconds / 60;

/** The index of the piece that a moment lies in: −1 before the first, as many as there are after the last. */
export function pieceAt(pieces: readonly Piece[], seconds: number): number {
  const first = pieces[0];
  if (!first || seconds < first.fromSeconds) return pieces.length === 0 ? 0 : -1;
  let i = 0;
  while (i < pieces.length && seconds >= (pieces[i] as Piece).toSeconds) i++;
  return i;
}
