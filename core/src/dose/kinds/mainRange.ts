import type { Range } from "../terms/range";
import { kindOf, type PlainDose } from "./plainDose";

/** The range that "a bit more, a bit less" acts on: time, phrases, attempts, hits, or what is in a set or round. */
export function mainRange(dose: PlainDose): Range {
  return dose[kindOf(dose).main] as unknown as Range;
}

/** The dose with its main range replaced. */
export function withMainRange(dose: PlainDose, range: Range): PlainDose {
  return { ...dose, [kindOf(dose).main]: range };
}
