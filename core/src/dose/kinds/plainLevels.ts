import type { DoseLevel } from "../terms/level";
import { partnerWords } from "../terms/partner";
import { kindOf, type PlainDose } from "./plainDose";

/** Levels are asked for again and again for the same dose, by every fit; a dose is never changed in place. */
const known = new WeakMap<PlainDose, DoseLevel[]>();

/** Every level of a dose of one thing, from its floor to its ceiling: durations rise from one to the next. */
export function plainLevels(dose: PlainDose): DoseLevel[] {
  const before = known.get(dose);
  if (before) return before;
  const words = partnerWords(dose.partner);
  const levels = kindOf(dose)
    .levels(dose)
    .map((level) => ({ ...level, words: level.words + words }));
  known.set(dose, levels);
  return levels;
}

/** The index of the ideal among `plainLevels(dose)`. */
export function idealPlain(dose: PlainDose): number {
  return kindOf(dose).ideal(dose, plainLevels(dose));
}
