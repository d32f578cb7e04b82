import type { MakeId } from "../../words/makeId";
import { firstDose, type PlainDose } from "../kinds/plainDose";
import { idealPlain, plainLevels } from "../kinds/plainLevels";
import { withLengths } from "../kinds/withLengths";
import type { LadderDose } from "./ladderDose";

/** Seconds of rest after a first rung. Custom. */
const REST = 15;

/**
 * Returns a ladder to begin with: half of what the drill was, easy, and the other half a step up.
 * @example firstLadder(dose, makeId).rungs.length // 2
 */
export function firstLadder(dose: PlainDose, makeId: MakeId): LadderDose {
  const levels = plainLevels(dose);
  const half = (index: number) => Math.max(0, (levels.at(index)?.seconds ?? 0) - REST) / 2;
  const each = withLengths(dose.kind === "circuit" ? firstDose("attempts") : dose, {
    floor: half(0),
    ideal: half(idealPlain(dose)),
    ceiling: half(-1),
  });
  const rung = (intensity: number) => ({
    id: makeId(),
    label: "",
    intensity,
    dose: each,
    focus: "",
    restSeconds: REST,
  });
  return { kind: "ladder", rungs: [rung(30), rung(50)], leastRungs: 1 };
}
