import type { Dose } from "./dose";
import { idealPlain, plainLevels } from "./kinds/plainLevels";
import { idealOfLadder, ladderLevels } from "./ladder/ladderLevels";
import type { DoseLevel } from "./terms/level";

/**
 * Returns every level of a dose, from its floor to its ceiling: durations rise from one to the next.
 * @example levelsOf(dose).map((level) => level.seconds) // [60, 90, 120], for 60 to 120 s in steps of 30 s
 */
export function levelsOf(dose: Dose): DoseLevel[] {
  return dose.kind === "ladder" ? ladderLevels(dose) : plainLevels(dose);
}

/**
 * Returns the index of the ideal among `levelsOf(dose)`.
 * @example idealLevel(dose) // 1, for an ideal of 90 s among 60, 90 and 120 s
 */
export function idealLevel(dose: Dose): number {
  return dose.kind === "ladder" ? idealOfLadder(dose) : idealPlain(dose);
}
