import { isRight } from "../words/tolerant";
import type { Dose } from "./dose";
import { firstDose, type PlainDose, plainDoseSchema } from "./kinds/plainDose";
import { withLengths } from "./kinds/withLengths";
import { idealLevel, levelsOf } from "./levelsOf";
import type { Range } from "./terms/range";

/**
 * The same drill under another kind of dose: floor, ideal and ceiling as near as whole counts come to the lengths they
 * had, each side where it was each side, with the same partner.
 * @example withKind({ kind: "time", seconds: { floor: 60, ideal: 120, ceiling: 120 }, … }, "reps")
 */
export function withKind(dose: Dose, kind: PlainDose["kind"]): PlainDose {
  const had = lengthsOf(dose);
  return withLengths(carriedOver(firstDose(kind, had.ceiling), dose), had);
}

/** Seconds that a dose takes at its floor, its ideal and its ceiling. */
function lengthsOf(dose: Dose): Range {
  const levels = levelsOf(dose);
  const seconds = (index: number) => levels.at(index)?.seconds ?? 0;
  return { floor: seconds(0), ideal: seconds(idealLevel(dose)), ceiling: seconds(-1) };
}

/** With the sides and the partner that another dose had, where this kind knows them. */
function carriedOver(first: PlainDose, dose: Dose): PlainDose {
  const sides = "sides" in first && "sides" in dose ? { sides: dose.sides } : {};
  const changeover =
    "changeoverSeconds" in first && "changeoverSeconds" in dose
      ? { changeoverSeconds: dose.changeoverSeconds }
      : {};
  const partner = "partner" in dose && dose.partner ? { partner: dose.partner } : {};
  const next = { ...first, ...sides, ...changeover, ...partner } as PlainDose;
  return isRight(plainDoseSchema, next) ? next : first;
}
