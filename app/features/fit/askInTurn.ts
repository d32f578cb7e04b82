import { askFit, type Listening } from "./askFit";
import type { FitAnswers, FitAsk } from "./fitWorker";

/** What waits for its turn; whether something is being answered. */
const waiting: (() => void)[] = [];
let busy = false;

function next(): void {
  const first = waiting.shift();
  if (first) first();
  else busy = false;
}

/**
 * The same as `askFit`, one question at a time: for what a whole list asks at once, so that not every row starts a worker.
 * @returns what calls it off
 */
export function askInTurn<Kind extends FitAsk["kind"]>(
  ask: Extract<FitAsk, { kind: Kind }>,
  { onAnswer, onFailure, ...more }: Listening<FitAnswers[Kind]>,
): () => void {
  let over = false;
  let callOff: (() => void) | null = null;
  const end = () => {
    over = true;
    next();
  };
  const begin = () => {
    if (over) return next();
    callOff = askFit<Kind>(ask, {
      ...more,
      onAnswer: (answer) => {
        end();
        onAnswer(answer);
      },
      onFailure: (sentence) => {
        end();
        onFailure(sentence);
      },
    });
  };
  if (busy) waiting.push(begin);
  else {
    busy = true;
    begin();
  }
  return () => {
    if (over) return;
    over = true;
    if (!callOff) return;
    callOff();
    next();
  };
}
