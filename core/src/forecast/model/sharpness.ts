import { type Curve, minutes } from "./curve";
import { type Person, SHARP_EFFORT, SHARP_FROM, SHARP_PER_MINUTE, SHARP_SPAN } from "./parameters";
import type { Piece } from "./piece";

/**
 * Sharpness, 0 to 1. Every effort near competition sets off a response, the difference of two exponentials scaled to peak
 * at 1 and spread over the length of the effort; weighted by how hard and how long that was; responses combine as
 * 1 − Π(1 − weight · response).
 * (Wilson 2013, Gouvêa 2013, Seitz & Haff 2016: rises within minutes of a hard effort and is gone after some twenty.)
 */
export function sharpnessOf(pieces: readonly Piece[], person: Person): Curve {
  const { up, down } = person;
  const peakAt = (Math.log(down / up) * up * down) / (down - up);
  const peak = Math.exp(-peakAt / down) - Math.exp(-peakAt / up);
  // The response added up from its beginning on.
  const upTo = (x: number) =>
    x <= 0 ? 0 : (down * (1 - Math.exp(-x / down)) - up * (1 - Math.exp(-x / up))) / peak;
  const efforts = pieces.filter((p) => p.effort >= SHARP_EFFORT - 1e-9);
  return {
    at: (seconds) =>
      1 -
      efforts.reduce((left, piece) => {
        const since = minutes(seconds - piece.fromSeconds);
        if (since <= 0) return left;
        const length = minutes(piece.toSeconds - piece.fromSeconds);
        const response = (upTo(since) - upTo(since - length)) / length;
        return left * (1 - sharpWeight(piece) * Math.min(1, response));
      }, 1),
  };
}

/** What an effort counts for, 0 to 1. */
function sharpWeight({ effort, share, fromSeconds, toSeconds }: Piece): number {
  const worked = minutes(toSeconds - fromSeconds) * share;
  return Math.min(1, (effort - SHARP_FROM) / SHARP_SPAN) * Math.min(1, SHARP_PER_MINUTE * worked);
}
