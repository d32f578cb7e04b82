import { attemptsKind } from "./attemptsDose";
import { circuitKind } from "./circuitDose";
import { countsKind } from "./countsDose";
import { gateKind } from "./gateDose";
import { lengthsKind } from "./lengthsDose";
import { repsKind } from "./repsDose";
import { timeKind } from "./timeDose";

/** The kinds of dose of one thing, in the order in which they are offered. */
export const PLAIN_KINDS = {
  time: timeKind,
  reps: repsKind,
  lengths: lengthsKind,
  counts: countsKind,
  attempts: attemptsKind,
  gate: gateKind,
  circuit: circuitKind,
};
