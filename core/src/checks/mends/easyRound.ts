import type { Mend } from "../../plan/finding";
import type { PlanItem } from "../../plan/plan";
import { cutText } from "../../words/cutText";
import { EASY_EFFORT } from "../../words/effort";
import { LONGEST_NAME } from "../../words/text";

/** Repetitions of an easy round, and how long one takes, seconds. Custom. */
const ROUND = 10;
const SECONDS_EACH = 3;

const EASY = ", easy";

/** The same action easily, some repetitions of it, where it keeps the climb even. */
export function easyRound({ name, place, focus, details, priority }: PlanItem): Mend {
  const flags = details?.flags.filter((f) => f !== "explosive") ?? [];
  return {
    words: "An easy round of it first",
    edits: [
      {
        kind: "insert",
        drill: {
          name: `${cutText(name, LONGEST_NAME - EASY.length)}${EASY}`,
          phase: "technical",
          intensity: EASY_EFFORT,
          priority,
          place,
          focus,
          dose: {
            kind: "reps",
            sets: one,
            reps: { floor: ROUND, ideal: ROUND, ceiling: ROUND },
            secondsPerRep: SECONDS_EACH,
            sides: "one",
            restSeconds: 0,
          },
          ...(details ? { details: { ...details, flags } } : {}),
        },
      },
    ],
  };
}

const one = { floor: 1, ideal: 1, ceiling: 1 };
