import { type Dose, firstDose, type LadderDose, type PlainDose } from "@tonodrome/core";
import { v4 as uuid } from "uuid";

/** A ladder to begin with: what the drill was, easy, and once more a step up. */
export function firstLadder(dose: Dose): LadderDose {
  const plain: PlainDose = dose.kind === "ladder" || dose.kind === "circuit" ? firstDose("attempts") : dose;
  const rung = (intensity: number) => ({
    id: uuid(),
    label: "",
    intensity,
    dose: plain,
    focus: "",
    restSeconds: 15,
  });
  return { kind: "ladder", rungs: [rung(30), rung(50)], leastRungs: 1 };
}
