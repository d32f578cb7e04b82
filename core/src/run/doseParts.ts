import { attemptRest } from "../dose/attemptsDose";
import type { CircuitDose } from "../dose/circuitDose";
import type { GateDose } from "../dose/gateDose";
import { roundSeconds } from "../dose/lengthsDose";
import type { LevelCount } from "../dose/level";
import type { Partner } from "../dose/partner";
import type { PlainDose } from "../dose/plainDose";
import type { RepsDose } from "../dose/repsDose";
import { type Sides, sideCount } from "../dose/sides";
import type { RunPart } from "./runPart";

/** A level of a dose, as far as taking it apart needs it. */
interface Level {
  counts: readonly LevelCount[];
  seconds: number;
}

/** A dose taken apart into what is counted through while it is run. The seconds of the parts add up to the level's. */
export function doseParts(dose: PlainDose, level: Level): RunPart[] {
  const parts = aloneParts(dose, level).filter((p) => p.seconds > 0);
  return dose.partner ? withPartner(parts, dose.partner) : parts;
}

function aloneParts(dose: PlainDose, { counts, seconds }: Level): RunPart[] {
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
      return repsParts(dose, first, second);
    case "attempts":
      return bouts("Attempt", first, dose.sides, attemptRest(dose), (words) => work(words, dose.secondsEach));
    case "lengths":
      return bouts("Round", first, "one", dose.restSeconds, (words) =>
        work(words, roundSeconds(dose, second)),
      );
    case "gate":
      return bySide(dose.sides, 0, (side) => [work(side, gateSideSeconds(dose, seconds))]);
    case "circuit":
      return circuitParts(dose, first);
  }
}

const work = (words: string, seconds: number): RunPart => ({ kind: "work", words, seconds });
const rest = (seconds: number): RunPart => ({ kind: "rest", words: "Rest", seconds });

function sideNames(sides: Sides): string[] {
  if (sides === "both") return ["left", "right"];
  return [sides === "dominant" ? "better side" : ""];
}

function bySide(sides: Sides, changeover: number, of: (side: string) => RunPart[]): RunPart[] {
  return sideNames(sides).flatMap((side, n) => [
    ...(n > 0 ? [{ kind: "change" as const, words: "Change sides", seconds: changeover }] : []),
    ...of(side),
  ]);
}

/** So many of something, a side at a time, with a rest between every two. */
function bouts(
  noun: string,
  many: number,
  sides: Sides,
  restSeconds: number,
  of: (words: string) => RunPart,
): RunPart[] {
  const names = sideNames(sides);
  const words = Array.from({ length: many }, (_, n) => n).flatMap((n) =>
    names.map((side) => [many > 1 ? `${noun} ${n + 1} of ${many}` : "", side].filter(Boolean).join(", ")),
  );
  return words.flatMap((w, n) => (n > 0 ? [rest(restSeconds), of(w)] : [of(w)]));
}

function repsParts(dose: RepsDose, sets: number, reps: number): RunPart[] {
  const { secondsPerRep, slotSeconds, tempo } = dose;
  const seconds = reps * secondsPerRep;
  const set = (words: string): RunPart => ({
    ...work(words, seconds),
    reps,
    repSeconds: secondsPerRep,
    ...(tempo ? { tempo } : {}),
  });
  if (slotSeconds === undefined) return bouts("Set", sets, dose.sides, dose.restSeconds, set);
  // In a slot what the set leaves is rest, after the last one too.
  const spare = slotSeconds - seconds;
  return [...bouts("Set", sets, dose.sides, spare, set), rest(spare)];
}

function circuitParts(dose: CircuitDose, rounds: number): RunPart[] {
  const { movements, restSeconds, roundRestSeconds } = dose;
  return Array.from({ length: rounds }, (_, r) => r).flatMap((r) =>
    movements.flatMap((m, n): RunPart[] => {
      const words = rounds > 1 ? `${m.name}, round ${r + 1} of ${rounds}` : m.name;
      const before = n > 0 ? restSeconds : r > 0 ? roundRestSeconds : 0;
      return [rest(before), { kind: m.breather ? "rest" : "work", words, seconds: m.seconds }];
    }),
  );
}

/** What one side of a gate is planned for, of a level that may be with a partner. */
function gateSideSeconds({ sides, partner }: GateDose, seconds: number): number {
  return aloneSeconds(seconds, partner) / sideCount(sides);
}

function aloneSeconds(seconds: number, partner: Partner | undefined): number {
  if (!partner || partner.mode === "together") return seconds;
  return (seconds - (partner.mode === "swapped" ? partner.changeoverSeconds : 0)) / 2;
}

/** In turn: each stretch of work is followed by the partner's. Roles swapped: all of it again, after the changeover. */
function withPartner(parts: RunPart[], { mode, changeoverSeconds }: Partner): RunPart[] {
  if (mode === "together") return parts;
  if (mode === "alternating")
    return parts.flatMap((p): RunPart[] =>
      p.kind === "work"
        ? [p, { kind: "rest", words: "Partner's turn", seconds: p.seconds }]
        : [{ ...p, seconds: p.seconds * 2 }],
    );
  const swap: RunPart = { kind: "change", words: "Swap roles", seconds: changeoverSeconds };
  return [...parts, swap, ...parts].filter((p) => p.seconds > 0);
}
