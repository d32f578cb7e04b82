import { type FitContext, type FitProfile, MINUTE_SECONDS, type PlanBody, withTable } from "@tonodrome/core";
import { useCallback, useEffect, useRef, useState } from "react";
import { askFit } from "./askFit";

interface EachTime {
  /** The best plan for a time available, seconds; null while it is not known. The same function while the same is known. */
  at: (seconds: number) => FitProfile | null;
  /** How many of them are known, from 0 to 1; null when all are, or none is wanted. */
  progress: number | null;
}

interface Known {
  plan: PlanBody;
  context: FitContext;
  profiles: ReadonlyMap<number, FitProfile>;
}

const NONE: ReadonlyMap<number, FitProfile> = new Map();

/**
 * The best plan for every whole minute, one minute after the other in a worker and those nearest to what is shown first:
 * for plans of which every time at once would take too long.
 * @param mostSeconds the longest time; null when they are not wanted
 * @param shownSeconds the time that is shown
 */
export function useEachTime(
  plan: PlanBody,
  context: FitContext,
  mostSeconds: number | null,
  shownSeconds: number,
): EachTime {
  const [known, setKnown] = useState<Known | null>(null);
  const shown = useRef(shownSeconds);
  shown.current = shownSeconds;
  useEffect(() => {
    if (mostSeconds === null) return;
    const left = minutesUpTo(mostSeconds);
    const profiles = new Map<number, FitProfile>();
    let callOff = () => {};
    const askNext = () => {
      const seconds = takeNearest(left, shown.current);
      if (seconds === null) return;
      callOff = askFit(
        { kind: "one-time", plan, context, seconds },
        {
          onAnswer: (table) => {
            profiles.set(seconds, withTable(plan, context, seconds, table));
            setKnown({ plan, context, profiles: new Map(profiles) });
            askNext();
          },
          // One time that cannot be known is asked for by itself when it is wanted.
          onFailure: askNext,
        },
      );
    };
    askNext();
    return () => callOff();
  }, [plan, context, mostSeconds]);
  const profiles = known?.plan === plan && known.context === context ? known.profiles : NONE;
  const progress = mostSeconds === null ? 1 : profiles.size / minutesUpTo(mostSeconds).length;
  const at = useCallback(
    (seconds: number) => profiles.get(seconds - (seconds % MINUTE_SECONDS)) ?? null,
    [profiles],
  );
  return {
    at,
    progress: progress === 1 ? null : progress,
  };
}

function minutesUpTo(mostSeconds: number): number[] {
  return Array.from({ length: Math.floor(mostSeconds / MINUTE_SECONDS) }, (_, i) => (i + 1) * MINUTE_SECONDS);
}

/** Takes what is nearest to a value out of a list; null when it is empty. */
function takeNearest(list: number[], to: number): number | null {
  if (list.length === 0) return null;
  const distances = list.map((value) => Math.abs(value - to));
  const [nearest] = list.splice(distances.indexOf(Math.min(...distances)), 1);
  return nearest ?? null;
}
