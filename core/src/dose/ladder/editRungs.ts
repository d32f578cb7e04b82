import type { MakeId } from "../../words/makeId";
import { type LadderDose, MOST_RUNGS, type Rung } from "./ladderDose";

/** Changes one rung: as every step here, it gives a new ladder and leaves the old as it was. */
export function changeRung(dose: LadderDose, id: string, change: Partial<Rung>): LadderDose {
  return { ...dose, rungs: dose.rungs.map((r) => (r.id === id ? { ...r, ...change } : r)) };
}

/** Once more right after it, a step up. */
export function copyRung(dose: LadderDose, id: string, makeId: MakeId): LadderDose {
  const at = dose.rungs.findIndex((r) => r.id === id);
  const rung = dose.rungs[at];
  if (!rung || dose.rungs.length >= MOST_RUNGS) return dose;
  const copy = { ...rung, id: makeId(), intensity: Math.min(100, rung.intensity + 10) };
  return { ...dose, rungs: dose.rungs.toSpliced(at + 1, 0, copy) };
}

/** The last rung of a ladder stays: without it there would be none. */
export function removeRung(dose: LadderDose, id: string): LadderDose {
  if (dose.rungs.length <= 1) return dose;
  const rungs = dose.rungs.filter((r) => r.id !== id);
  return { ...dose, rungs, leastRungs: Math.min(dose.leastRungs, rungs.length) };
}

/** One place up or down; at the ends it stays. */
export function moveRung(dose: LadderDose, id: string, by: -1 | 1): LadderDose {
  const at = dose.rungs.findIndex((r) => r.id === id);
  const rung = dose.rungs[at];
  const to = at + by;
  if (!rung || to < 0 || to >= dose.rungs.length) return dose;
  return { ...dose, rungs: dose.rungs.toSpliced(at, 1).toSpliced(to, 0, rung) };
}

/** The effort at the top, which the drill as a whole goes by. */
export function topOf({ rungs }: LadderDose): number {
  return Math.max(...rungs.map((r) => r.intensity));
}
