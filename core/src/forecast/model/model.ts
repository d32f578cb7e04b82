import type { Curve } from "./curve";
import { heldOf } from "./heldStretches";
import type { Person } from "./parameters";
import type { Piece } from "./piece";
import { sharpnessOf } from "./sharpness";
import type { Surroundings } from "./surroundings";
import { tirednessOf } from "./tiredness";
import { warmthOf } from "./warmth";

/** The state one person would be in. */
export interface State {
  /** °C above neutral rest, and the same as a share of what is full for this person. */
  warmth: number;
  warmShare: number;
  /** 0 to 1. */
  sharpness: number;
  /** Share of performance that it costs. */
  tiredness: number;
  /** Per cent of the athlete's own best, against full warmth and nothing else: at most a few above 0, mostly below. */
  readiness: number;
}

/** What one person would be like at any moment of a warm-up, and after it. */
export interface Model {
  at: (seconds: number) => State;
}

/**
 * The model for one person.
 * Readiness = 100 · (perDeg · (min(M, full) − full) + sTop · S − F − hold), in per cent of the athlete's own best.
 * @param pieces joined; after the last nothing is done
 */
export function modelOf(
  pieces: readonly Piece[],
  person: Person,
  around: Surroundings,
  held: Curve = heldOf(pieces),
): Model {
  const warm = warmthOf(pieces, person, around);
  const sharp = sharpnessOf(pieces, person);
  const tired = tirednessOf(pieces, person, around);
  return {
    at: (seconds) => {
      const warmth = warm.at(seconds);
      const sharpness = sharp.at(seconds);
      const tiredness = tired.at(seconds);
      const { perDeg, full, sTop } = person;
      const ready =
        perDeg * (Math.min(warmth, full) - full) + sTop * sharpness - tiredness - held.at(seconds);
      return { warmth, warmShare: warmth / full, sharpness, tiredness, readiness: 100 * ready };
    },
  };
}
