import type { z } from "zod";
import type { DoseLevel } from "../terms/level";
import type { Range } from "../terms/range";
import type { Taken, TakenLevel } from "../terms/taken";

/** Everything that a kind of dose of one thing has to say for itself. A new one is a file like this one's neighbours and a line in the list. */
export interface PlainKind<Dose> {
  schema: z.ZodType<Dose>;
  /** Every level, from the floor to the ceiling: durations rise from one to the next. */
  levels: (dose: Dose) => DoseLevel[];
  /** The index of the ideal among those. */
  ideal: (dose: Dose, levels: readonly DoseLevel[]) => number;
  /** The range that "a bit more, a bit less" acts on. */
  main: keyof Dose;
  /** The dose taken apart into what is counted through while it is run. */
  bouts: (dose: Dose, level: TakenLevel) => Taken;
  /** What the main range is done in whole bouts of, where it is: sets, rounds. */
  outer?: keyof Dose;
  /** One to begin with. @param seconds about what it is to take, where that is known */
  first: (seconds?: number) => Dose;
}

/** A first range, which does not grow beyond its ideal by itself. */
export const firstRange = (floor: number, ideal: number): Range => ({ floor, ideal, ceiling: ideal });
