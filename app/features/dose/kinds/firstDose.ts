import type { PlainDose } from "@tonodrome/core";

const range = (floor: number, ideal: number) => ({ floor, ideal, ceiling: ideal });

/** A first dose of each kind, for a drill that is changed from one kind to another. */
export function firstDose(kind: PlainDose["kind"]): PlainDose {
  switch (kind) {
    case "time":
      return { kind, seconds: range(60, 120), step: 30, sides: "one", changeoverSeconds: 0 };
    case "reps":
      return { kind, sets: range(1, 2), reps: range(6, 8), secondsPerRep: 3, sides: "one", restSeconds: 20 };
    case "lengths":
      return {
        kind,
        rounds: range(1, 1),
        lengths: range(2, 4),
        metres: 25,
        secondsEach: 20,
        turnSeconds: 2,
        back: "same",
        walkSeconds: 20,
        restSeconds: 30,
      };
    case "counts":
      return {
        kind,
        phrases: range(2, 4),
        counts: 8,
        beatsPerMinute: 120,
        sides: "one",
        changeoverSeconds: 0,
      };
    case "attempts":
      return {
        kind,
        attempts: range(2, 3),
        secondsEach: 10,
        sides: "one",
        rest: { kind: "fixed", seconds: 20 },
      };
    case "gate":
      return {
        kind,
        rule: { kind: "total" },
        hits: range(2, 4),
        chancePercent: 60,
        secondsEach: 10,
        restSeconds: 5,
        surePercent: 80,
        capSeconds: 240,
        sides: "one",
      };
    case "circuit":
      return {
        kind,
        movements: [
          { name: "Skipping", seconds: 30, metres: 0, breather: false },
          { name: "Walking, arms loose", seconds: 30, metres: 0, breather: true },
        ],
        rounds: range(1, 2),
        restSeconds: 5,
        roundRestSeconds: 30,
      };
  }
}
