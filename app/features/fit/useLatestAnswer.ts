import { startTransition, useEffect, useRef, useState } from "react";
import { askFit } from "./askFit";
import type { FitAnswers, FitAsk } from "./fitWorker";

/** What was answered last, and why there is nothing newer. */
export interface LatestAnswer<Answer> {
  /** Of what was asked before until there is one for what is asked now; null before the first. */
  answer: Answer | null;
  /** What that is the answer to. */
  to: object | null;
  failure: string | null;
}

const NONE = { answer: null, to: null };

/**
 * Has something computed in a worker again and again: one at a time, and always the latest that is wanted next, so that a
 * slider or a clock never keeps it from answering.
 * @param ask the same object as long as the same is asked; null when nothing is
 * @param asker how it is asked; the same function all along
 */
export function useLatestAnswer<Kind extends FitAsk["kind"]>(
  ask: Extract<FitAsk, { kind: Kind }> | null,
  asker: typeof askFit = askFit,
): LatestAnswer<FitAnswers[Kind]> {
  const [latest, setLatest] = useState<{ answer: FitAnswers[Kind] | null; to: object | null }>(NONE);
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
            setLatest({ answer: found, to: asked });
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
  return { ...latest, failure };
}
