import type { BodyArea } from "../../words/bodyArea";

/** A stretch of constant effort. Pieces follow one another without gap or overlap. */
export interface Piece {
  /** Seconds from the start, negative before it. */
  fromSeconds: number;
  toSeconds: number;
  /** Effort of the work in it, 0 to 1; 0 where nothing is done. */
  effort: number;
  /** The share of it that is work, 0 to 1. */
  share: number;
  /** Of a held stretch: the seconds held a side, and what is stretched. */
  hold: { seconds: number; areas: readonly BodyArea[] } | null;
}

/** The effort that warms and tires: less than that of the work, as far as there are rests in it. @param duty share of it that goes on in rests */
export function workingEffort({ effort, share }: Pick<Piece, "effort" | "share">, duty: number): number {
  return effort * (duty + (1 - duty) * share);
}

/**
 * Neighbours of the same kind made one, and what takes no time left out: however a stretch is cut, it is one. Holds of
 * the same parts one after the other are one longer hold.
 */
export function joined(pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = [];
  for (const piece of pieces) {
    if (piece.toSeconds <= piece.fromSeconds) continue;
    const last = out.at(-1);
    if (last && isSameKind(last, piece)) {
      out[out.length - 1] = { ...last, toSeconds: piece.toSeconds, hold: together(last.hold, piece.hold) };
    } else out.push(piece);
  }
  return out;
}

function isSameKind(a: Piece, b: Piece): boolean {
  const near = (x: number, y: number) => Math.abs(x - y) < 1e-9;
  const isHeld = (a.hold === null) === (b.hold === null) && a.hold?.areas.join() === b.hold?.areas.join();
  return isHeld && near(a.effort, b.effort) && (a.effort === 0 || near(a.share, b.share));
}

function together(a: Piece["hold"], b: Piece["hold"]): Piece["hold"] {
  return a && b ? { areas: a.areas, seconds: a.seconds + b.seconds } : null;
}
