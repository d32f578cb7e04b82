import { idealInChain } from "../parts/chain";
import type { DoseLevel } from "../parts/level";
import { partnerWords } from "../parts/partner";
import { attemptsLevels } from "./attemptsDose";
import { circuitLevels } from "./circuitDose";
import { countsLevels } from "./countsDose";
import { gateLevels } from "./gateDose";
import { lengthsLevels } from "./lengthsDose";
import type { PlainDose } from "./plainDose";
import { isIdealReps, repsLevels } from "./repsDose";
import { timeLevels } from "./timeDose";

/** Levels are asked for again and again for the same dose, by every fit; a dose is never changed in place. */
const known = new WeakMap<PlainDose, DoseLevel[]>();

/** Every level of a dose of one thing, from its floor to its ceiling: durations rise from one to the next. */
export function plainLevels(dose: PlainDose): DoseLevel[] {
  const before = known.get(dose);
  if (before) return before;
  const words = partnerWords(dose.partner);
  const levels = levelsByKind(dose).map((level) => ({ ...level, words: level.words + words }));
  known.set(dose, levels);
  return levels;
}

function levelsByKind(dose: PlainDose): DoseLevel[] {
  switch (dose.kind) {
    case "time":
      return timeLevels(dose);
    case "reps":
      return repsLevels(dose);
    case "lengths":
      return lengthsLevels(dose);
    case "counts":
      return countsLevels(dose);
    case "attempts":
      return attemptsLevels(dose);
    case "gate":
      return gateLevels(dose);
    case "circuit":
      return circuitLevels(dose);
  }
}

/** The index of the ideal among `plainLevels(dose)`. */
export function idealPlain(dose: PlainDose): number {
  switch (dose.kind) {
    case "time":
      return Math.ceil((dose.seconds.ideal - dose.seconds.floor) / dose.step);
    case "reps":
      return plainLevels(dose).findIndex((level) => isIdealReps(dose, level));
    case "lengths":
      return idealInChain(dose.rounds, dose.lengths);
    case "counts":
      return withAmount(dose, dose.phrases.ideal);
    case "attempts":
      return dose.attempts.ideal - dose.attempts.floor;
    case "gate":
      return withAmount(dose, dose.hits.ideal);
    case "circuit":
      return dose.rounds.ideal - dose.rounds.floor;
  }
}

/** The index of the level of so many, where some levels may be left out. */
function withAmount(dose: PlainDose, amount: number): number {
  return plainLevels(dose).findIndex((level) => level.counts[0]?.amount === amount);
}
