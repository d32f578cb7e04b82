import type { ScaleItem } from "../athlete/scale";

/** A near-target effort meant to give confidence should succeed at least so often, per cent. */
export const CONFIDENT_PERCENT = 90;

/** What an effort is called on a scale: the hardest thing on it that asks for no more. Null on an empty scale. */
export function labelFor(scale: readonly ScaleItem[], intensity: number): ScaleItem | null {
  return scale.findLast((item) => item.intensity <= intensity) ?? scale[0] ?? null;
}

/** The hardest thing up to an effort that is known to succeed often enough. */
export function hardestConfident(scale: readonly ScaleItem[], top: number): ScaleItem | null {
  const sure = (item: ScaleItem) => item.intensity <= top && (item.chancePercent ?? 0) >= CONFIDENT_PERCENT;
  return scale.findLast(sure) ?? null;
}
