import { attemptsLevels } from "./attemptsDose";
import type { Dose } from "./dose";
import type { DoseLevel } from "./level";
import { repsLevels } from "./repsDose";
import { timeLevels } from "./timeDose";

/** Every level of a dose, from its floor to its ceiling: durations never fall from one to the next. */
export function levelsOf(dose: Dose): DoseLevel[] {
  switch (dose.kind) {
    case "time":
      return timeLevels(dose);
    case "reps":
      return repsLevels(dose);
    case "attempts":
      return attemptsLevels(dose);
  }
}

/** The index of the ideal among `levelsOf(dose)`. */
export function idealLevel(dose: Dose): number {
  switch (dose.kind) {
    case "time":
      return Math.ceil((dose.seconds.ideal - dose.seconds.floor) / dose.step);
    case "reps":
      return dose.reps.ideal - dose.reps.floor + dose.sets.ideal - dose.sets.floor;
    case "attempts":
      return dose.attempts.ideal - dose.attempts.floor;
  }
}
