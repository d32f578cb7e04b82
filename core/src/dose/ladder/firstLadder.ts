import type { MakeId } from "../../words/makeId";
import { firstDose, type PlainDose } from "../kinds/plainDose";
import type { LadderDose } from "./ladderDose";

/** A ladder to begin with: what the drill was, easy, and once more a step up. */
export function firstLadder(dose: PlainDose | LadderDose, makeId: MakeId): LadderDose {
  const plain: PlainDose = dose.kind === "ladder" || dose.kind === "circuit" ? firstDose("attempts") : dose;
  const rung = (intensity: number) => ({
    id: makeId(),
    label: "",
    intensity,
    dose: plain,
    focus: "",
    restSeconds: 15,
  });
  return { kind: "ladder", rungs: [rung(30), rung(50)], leastRungs: 1 };
}
