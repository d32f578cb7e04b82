import type { Dose } from "./dose";
import { idealPlain, plainLevels } from "./kinds/plainLevels";
import { idealOfLadder, ladderLevels } from "./ladder/ladderLevels";
import type { DoseLevel } from "./terms/level";

/** Every level of a dose, from its floor to its ceiling: durations rise from one to the next. */
export function levelsOf(dose: Dose): DoseLevel[] {
  return dose.kind === "ladder" ? ladderLevels(dose) : plainLevels(dose);
}

/** The index of the ideal among `levelsOf(dose)`. */
export function idealLevel(dose: Dose): number {
  return dose.kind === "ladder" ? idealOfLadder(dose) : idealPlain(dose);
}
