import type { Dose } from "@tonodrome/core";

/** A first dose of each kind, for a drill that is changed from one kind to another. */
export function firstDose(kind: Dose["kind"]): Dose {
  switch (kind) {
    case "time":
      return {
        kind,
        seconds: { floor: 60, ideal: 120, ceiling: 120 },
        step: 30,
        sides: "one",
        changeoverSeconds: 0,
      };
    case "reps":
      return {
        kind,
        sets: { floor: 1, ideal: 2, ceiling: 2 },
        reps: { floor: 6, ideal: 8, ceiling: 8 },
        secondsPerRep: 3,
        sides: "one",
        restSeconds: 20,
      };
    case "attempts":
      return {
        kind,
        attempts: { floor: 2, ideal: 3, ceiling: 3 },
        secondsEach: 10,
        sides: "one",
        rest: { kind: "fixed", seconds: 20 },
      };
  }
}
