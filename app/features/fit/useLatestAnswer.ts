import { startTransition, useEffect, useRef, useState } from "react";
import { askFit } from "./askFit";
import type { FitAnswers, FitAsk } from "./fitWorker";

/** What was answered last, and why there is nothing newer. */
export interface LatestAnswer<Answer> {
  /** Of what was asked before until there is one for what is asked now; null before the first. */
  answer: Answer | null;
  failure: string | null;
}

/**
 * Has something reckoned in a worker again and again: one at a time, and always the latest that is wanted next, so that a
 * slider or a clock never keeps it from answering.
 * @param ask the same object as long as the same is asked; null when nothing is
 * @param asker how it is asked; the same function all along
 */
export function useLatestAnswer<Kind extends FitAsk["kind"]>(
  ask: Extract<FitAsk, { kind: Kind }> | null,
  asker: typeof askFit = askFit,
): LatestAnswer<FitAnswers[Kind]> {
  const [answer, setAnswer] = useState<FitAnswers[Kind] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const wanted = useRef<typeof ask>(null);
  const callOff = useRef<(() => void) | null>(null);
  useEffect(() => {
    wanted.current = ask;
    if (!callOff.current) askNext();

    function askNext() {
      const asked = wanted.current;
      if (!asked) return;
      const over = () => {
        callOff.current = null;
        if (wanted.current !== asked) askNext();
      };
      callOff.current = asker<Kind>(asked, {
        onAnswer: (found) => {
          // Whatever is under a finger is painted before it.
          startTransition(() => {
            setAnswer(found);
            setFailure(null);
          });
          over();
        },
        onFailure: (sentence) => {
          setFailure(sentence);
          over();
        },
      });
    }
  }, [ask, asker]);
  useEffect(
    () => () => {
      wanted.current = null;
      callOff.current?.();
      callOff.current = null;
    },
    [],
  );
  return { answer, failure };
}
