import type { MakeId } from "../../words/makeId";
import { type LadderDose, MOST_RUNGS, type Rung } from "./ladderDose";

/**
 * Changes one rung. As every step here it returns a new ladder and leaves the old as it was.
 * @example changeRung(ladder, "r2", { intensity: 60 }) // the same ladder, its rung r2 at 60 %
 */
export function changeRung(dose: LadderDose, id: string, change: Partial<Rung>): LadderDose {
  return { ...dose, rungs: dose.rungs.map((r) => (r.id === id ? { ...r, ...change } : r)) };
}

/**
 * Puts a rung once more right after itself, a step up.
 * @example copyRung(ladder, "r2", makeId).rungs.length // one more than before
 */
export function copyRung(dose: LadderDose, id: string, makeId: MakeId): LadderDose {
  const at = dose.rungs.findIndex((r) => r.id === id);
  const rung = dose.rungs[at];
  if (!rung || dose.rungs.length >= MOST_RUNGS) return dose;
  const copy = { ...rung, id: makeId(), intensity: Math.min(100, rung.intensity + 10) };
  return { ...dose, rungs: dose.rungs.toSpliced(at + 1, 0, copy) };
}

/**
 * Removes a rung. The last rung of a ladder stays: without it there would be none.
 * @example removeRung(ladder, "r2").rungs.some((rung) => rung.id === "r2") // false
 */
export function removeRung(dose: LadderDose, id: string): LadderDose {
  if (dose.rungs.length <= 1) return dose;
  const rungs = dose.rungs.filter((r) => r.id !== id);
  return { ...dose, rungs, leastRungs: Math.min(dose.leastRungs, rungs.length) };
}

/**
 * Moves a rung one place up or down; at the ends it stays.
 * @example moveRung(ladder, "r2", -1).rungs[0]?.id // "r2", where it was the second
 */
export function moveRung(dose: LadderDose, id: string, by: -1 | 1): LadderDose {
  const at = dose.rungs.findIndex((r) => r.id === id);
  const rung = dose.rungs[at];
  const to = at + by;
  if (!rung || to < 0 || to >= dose.rungs.length) return dose;
  return { ...dose, rungs: dose.rungs.toSpliced(at, 1).toSpliced(to, 0, rung) };
}

/**
 * Returns the effort at the top, per cent: the drill as a whole goes by it.
 * @example topOf(ladder) // 80, for rungs of 40, 60 and 80 %
 */
export function topOf({ rungs }: LadderDose): number {
  return Math.max(...rungs.map((r) => r.intensity));
}
