import { type Chosen, choiceSeconds } from "../choose/choice";
import { chooseMobilise } from "../choose/chooseMobilise";
import { chooseMental, choosePrime } from "../choose/choosePrime";
import { chooseRaise } from "../choose/chooseRaise";
import { chooseTechnical } from "../choose/chooseTechnical";
import { NOTHING_LEFT } from "../choose/left";
import { withDose } from "../choose/withDose";
import { easyFor } from "../shape/dosed";
import type { Shape } from "../shape/shape";
import type { Frame } from "./frame";

/** What is chosen for each part of a warm-up, in no order yet. */
export interface Parts {
  raise: readonly Chosen[];
  mobilise: readonly Chosen[];
  technical: readonly Chosen[];
  prime: readonly Chosen[];
  /** Easy movement in the wait. */
  warm: readonly Chosen[];
  mental: readonly Chosen[];
}

/** Chooses for each part in turn: a first plan, which is then improved. */
export function firstParts(frame: Frame, gaps: string[]): Parts {
  const { input, choices, shape, rules, scale, stillWarm } = frame;
  const { approach, event } = input;
  const raise = chooseRaise(choices, approach, shape);
  if (raise.length === 0) gaps.push("The shelf has nothing easy that raises warmth.");
  const technical = chooseTechnical(choices, { approach, event, shape, rules, scale, stillWarm }, gaps);
  const mobilise = chooseMobilise(choices, { approach, event, shape, rules, raise, technical });
  const prime = choosePrime(choices, {
    ...{ event, shape, rules, stillWarm },
    before: [...raise, ...mobilise, ...technical],
  });
  const mental = chooseMental(choices, shape.wait.leastSeconds);
  return withLeftover({ raise, mobilise, technical, prime, warm: [], mental }, shape);
}

/** Most of the work that the raise grows to when the other parts leave time, and the longest it then is, seconds. Custom. */
const RAISE_SHARE = 0.4;
const RAISE_LONGEST = 600;

const secondsOf = (list: readonly Chosen[]) => list.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);

/** Time that the other parts leave goes to easy movement: it gives most for nothing. */
function withLeftover(parts: Parts, shape: Shape): Parts {
  const { raise, mobilise, technical, prime } = parts;
  const now = secondsOf(raise);
  const most = Math.min(RAISE_LONGEST, Math.max(RAISE_SHARE * shape.work, shape.raise));
  const more = Math.min(shape.work - now - secondsOf([...mobilise, ...technical, ...prime]), most - now);
  return more < NOTHING_LEFT ? parts : { ...parts, raise: longerRaise(raise, more) };
}

/** The raise with so many seconds more on its longest drill of a length of time. */
export function longerRaise(raise: readonly Chosen[], wanted: number): Chosen[] {
  const seconds = Math.min(wanted, Math.max(0, RAISE_LONGEST - secondsOf(raise)));
  const longest = raise
    .filter((c) => c.choice.drill.dose.kind === "time")
    .toSorted((a, b) => choiceSeconds(b.choice) - choiceSeconds(a.choice))[0];
  return raise.map((c) => {
    if (c !== longest) return c;
    return {
      ...c,
      choice: withDose(c.choice, easyFor(c.choice.drill.dose, choiceSeconds(c.choice) + seconds)),
    };
  });
}
