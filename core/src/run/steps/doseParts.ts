import { attemptRest } from "../../dose/kinds/attemptsDose";
import { type CircuitDose, movementSeconds } from "../../dose/kinds/circuitDose";
import { roundSeconds } from "../../dose/kinds/lengthsDose";
import type { PlainDose } from "../../dose/kinds/plainDose";
import { inOneSlot, type RepsDose, setSeconds } from "../../dose/kinds/repsDose";
import { restBesidePartner } from "../../dose/parts/bouts";
import type { LevelCount } from "../../dose/parts/level";
import type { Partner } from "../../dose/parts/partner";
import { type Sides, sideCount } from "../../dose/parts/sides";
import type { RunPart } from "./runPart";

/** A level of a dose, as far as taking it apart needs it. */
interface Level {
  counts: readonly LevelCount[];
  seconds: number;
}

/** A dose taken apart into what is counted through while it is run. The seconds of the parts add up to the level's. */
export function doseParts(dose: PlainDose, level: Level): RunPart[] {
  const { bouts, between, after } = boutsOf(dose, level);
  // At a gate nobody counts whose try it is.
  const together = dose.kind === "gate" && dose.partner?.mode === "alternating";
  return withPartner(bouts, between, after, together ? undefined : dose.partner).filter((p) => p.seconds > 0);
}

/** Bouts, each of some parts, what lies between every two, and what comes after the last. */
interface Taken {
  bouts: RunPart[][];
  between: RunPart;
  after: number;
}

function boutsOf(dose: PlainDose, { counts, seconds }: Level): Taken {
  const [first = 1, second = 1] = counts.map((c) => c.amount);
  switch (dose.kind) {
    case "time":
      return bySide(dose.sides, dose.changeoverSeconds, (side) => [work(side, first)]);
    case "counts": {
      const beat = 60 / dose.beatsPerMinute;
      const reps = dose.counts * first;
      return bySide(dose.sides, dose.changeoverSeconds, (side) => [
        { ...work(side, Math.ceil(reps * beat)), reps: Math.min(400, reps), repSeconds: beat },
      ]);
    }
    case "reps":
      return repsBouts(dose, first, second);
    case "attempts":
      return numbered("Attempt", first, dose.sides, attemptRest(dose), (words) =>
        work(words, dose.secondsEach),
      );
    case "lengths":
      return numbered("Round", first, "one", dose.restSeconds, (words) =>
        work(words, roundSeconds(dose, second)),
      );
    case "gate": {
      const side = onceSeconds(seconds, dose.partner) / sideCount(dose.sides);
      return bySide(dose.sides, 0, (name) => [work(name, side)]);
    }
    case "circuit":
      return circuitBouts(dose, first);
  }
}

const work = (words: string, seconds: number): RunPart => ({ kind: "work", words, seconds });
const rest = (seconds: number): RunPart => ({ kind: "rest", words: "Rest", seconds });

function sideNames(sides: Sides): string[] {
  if (sides === "both") return ["left", "right"];
  return [sides === "dominant" ? "better side" : ""];
}

function bySide(sides: Sides, changeover: number, of: (side: string) => RunPart[]): Taken {
  return {
    bouts: sideNames(sides).map(of),
    between: { kind: "change", words: "Change sides", seconds: changeover },
    after: 0,
  };
}

/** So many of something, a side at a time, with a rest between every two. */
function numbered(
  noun: string,
  many: number,
  sides: Sides,
  restSeconds: number,
  of: (words: string) => RunPart,
): Taken {
  const names = sideNames(sides);
  const bouts = Array.from({ length: many }, (_, n) => n).flatMap((n) =>
    names.map((side) => [
      of([many > 1 ? `${noun} ${n + 1} of ${many}` : "", side].filter(Boolean).join(", ")),
    ]),
  );
  return { bouts, between: rest(restSeconds), after: 0 };
}

function repsBouts(dose: RepsDose, sets: number, reps: number): Taken {
  const { secondsPerRep, slotSeconds, slotFor, tempo, partner } = dose;
  const seconds = setSeconds(dose, reps);
  const set = (words: string): RunPart => ({
    ...work(words, seconds),
    reps,
    repSeconds: secondsPerRep,
    ...(tempo ? { tempo } : {}),
  });
  const of = (restSeconds: number, after: number) => ({
    ...numbered("Set", sets, dose.sides, restSeconds, set),
    after,
  });
  if (slotSeconds === undefined) return of(dose.restSeconds, 0);
  if (slotFor) {
    const { restSeconds, lastSeconds } = inOneSlot(dose, slotSeconds);
    return of(restSeconds, lastSeconds);
  }
  // In a slot what the set leaves is rest, after the last one too; in turn, the partner's set is in it as well.
  const spare = slotSeconds - seconds;
  return of(spare, partner?.mode === "alternating" ? restBesidePartner(spare, seconds) : spare);
}

function circuitBouts(dose: CircuitDose, rounds: number): Taken {
  const { movements, restSeconds, roundRestSeconds } = dose;
  const round = (r: number) =>
    movements.flatMap((m, n): RunPart[] => [
      ...(n > 0 ? [rest(restSeconds)] : []),
      {
        kind: m.breather ? "rest" : "work",
        words: rounds > 1 ? `${m.name}, round ${r + 1} of ${rounds}` : m.name,
        seconds: movementSeconds(m),
      },
    ]);
  return {
    bouts: Array.from({ length: rounds }, (_, r) => round(r)),
    between: rest(roundRestSeconds),
    after: 0,
  };
}

/** Seconds of it without what roles swapped add. */
function onceSeconds(seconds: number, partner: Partner | undefined): number {
  return partner?.mode === "swapped" ? (seconds - partner.changeoverSeconds) / 2 : seconds;
}

/**
 * In turn: each bout is followed by the partner's, which is rest from it. Roles swapped: all of it again, after the
 * changeover.
 */
function withPartner(
  bouts: readonly RunPart[][],
  between: RunPart,
  after: number,
  partner: Partner | undefined,
): RunPart[] {
  const inTurn = partner?.mode === "alternating";
  const alone = bouts.flatMap((bout, n) => {
    const own = bout.reduce((sum, p) => sum + p.seconds, 0);
    const turn: RunPart = { kind: "rest", words: "Partner's turn", seconds: own };
    const gap = inTurn ? restBesidePartner(between.seconds, own) : between.seconds;
    return [
      ...bout,
      ...(inTurn ? [turn] : []),
      ...(n < bouts.length - 1 ? [{ ...between, seconds: gap }] : []),
    ];
  });
  const parts = [...alone, rest(after)];
  if (partner?.mode !== "swapped") return parts;
  const swap: RunPart = { kind: "change", words: "Swap roles", seconds: partner.changeoverSeconds };
  return [...parts, swap, ...parts];
}
