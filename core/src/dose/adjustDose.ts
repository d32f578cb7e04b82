import { kindOf, type PlainDose } from "./kinds/plainDose";
import type { Range } from "./terms/range";

/** The part of a dose that a single press changes: its main count. */
export type DoseEnd = "floor" | "ideal" | "ceiling";

/** The range that "a bit more, a bit less" acts on: time, phrases, attempts, hits, or what is in a set or round. */
export function mainRange(dose: PlainDose): Range {
  return dose[kindOf(dose).main] as unknown as Range;
}

/** The dose with its main range replaced. */
export function withMainRange(dose: PlainDose, range: Range): PlainDose {
  return { ...dose, [kindOf(dose).main]: range };
}

/**
 * Moves one end of a range by whole steps and pushes the others along so that floor ≤ ideal ≤ ceiling still holds.
 * @param steps positive or negative; `step` the size of one; results stay within `least`..`most`
 */
export function moveEnd(
  range: Range,
  end: DoseEnd,
  steps: number,
  limits: { step: number; least: number; most: number },
): Range {
  const wanted = range[end] + steps * limits.step;
  const value = Math.min(limits.most, Math.max(limits.least, wanted));
  switch (end) {
    case "floor":
      return {
        floor: value,
        ideal: Math.max(value, range.ideal),
        ceiling: Math.max(value, range.ceiling),
      };
    case "ideal":
      return {
        floor: Math.min(value, range.floor),
        ideal: value,
        ceiling: Math.max(value, range.ceiling),
      };
    case "ceiling":
      return {
        floor: Math.min(value, range.floor),
        ideal: Math.min(value, range.ideal),
        ceiling: value,
      };
  }
}
