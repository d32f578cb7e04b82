import type { LevelCount } from "./level";
import type { DosePart } from "./part";
import type { Sides } from "./sides";

/** A level of a dose, as far as taking it apart needs it. */
export interface TakenLevel {
  counts: readonly LevelCount[];
  seconds: number;
}

/** Bouts, each of some parts, what lies between every two, and what comes after the last. */
export interface Taken {
  bouts: DosePart[][];
  between: DosePart;
  after: number;
}

/** A stretch of work. */
export const work = (words: string, seconds: number): DosePart => ({ kind: "work", words, seconds });
/** A rest. */
export const rest = (seconds: number): DosePart => ({ kind: "rest", words: "Rest", seconds });

function sideNames(sides: Sides): string[] {
  if (sides === "both") return ["left", "right"];
  return [sides === "dominant" ? "better side" : ""];
}

/** It on each side, with a change between. */
export function bySide(sides: Sides, changeover: number, of: (side: string) => DosePart[]): Taken {
  return {
    bouts: sideNames(sides).map(of),
    between: { kind: "change", words: "Change sides", seconds: changeover },
    after: 0,
  };
}

/** So many of something, a side at a time, with a rest between every two. */
export function numbered(
  noun: string,
  many: number,
  sides: Sides,
  restSeconds: number,
  of: (words: string) => DosePart,
): Taken {
  const names = sideNames(sides);
  const bouts = Array.from({ length: many }, (_, n) => n).flatMap((n) =>
    names.map((side) => [
      of([many > 1 ? `${noun} ${n + 1} of ${many}` : "", side].filter(Boolean).join(", ")),
    ]),
  );
  return { bouts, between: rest(restSeconds), after: 0 };
}

/** How many of what is counted: of the first thing, and of what is in it. */
export function amountsOf({ counts }: TakenLevel): [first: number, second: number] {
  const [first = 1, second = 1] = counts.map((c) => c.amount);
  return [first, second];
}
