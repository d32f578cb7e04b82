import type { PlainDose } from "./kinds/plainDose";
import type { Range } from "./parts/range";

/** The part of a dose that a single press changes: its main count. */
export type DoseEnd = "floor" | "ideal" | "ceiling";

/** The range that "a bit more, a bit less" acts on: time, phrases, attempts, hits, or what is in a set or round. */
export function mainRange(dose: PlainDose): Range {
  switch (dose.kind) {
    case "time":
      return dose.seconds;
    case "reps":
      return dose.reps;
    case "lengths":
      return dose.lengths;
    case "counts":
      return dose.phrases;
    case "attempts":
      return dose.attempts;
    case "gate":
      return dose.hits;
    case "circuit":
      return dose.rounds;
  }
}

/** The dose with its main range replaced. */
export function withMainRange(dose: PlainDose, range: Range): PlainDose {
  switch (dose.kind) {
    case "time":
      return { ...dose, seconds: range };
    case "reps":
      return { ...dose, reps: range };
    case "lengths":
      return { ...dose, lengths: range };
    case "counts":
      return { ...dose, phrases: range };
    case "attempts":
      return { ...dose, attempts: range };
    case "gate":
      return { ...dose, hits: range };
    case "circuit":
      return { ...dose, rounds: range };
  }
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
