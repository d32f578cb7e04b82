import type { Approach } from "@tonodrome/core/approaches";
import type { Filled, FillPreview } from "@tonodrome/core/fill";
import { useEffect, useMemo, useRef, useState } from "react";
import { askFit } from "~/features/fit/askFit";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { type FillChoice, type FillFrom, type KitSaid, orderFor, orderFrom } from "./fillFor";

/** Filling, a press at a time. */
export interface Filling {
  /** The approach that is being filled from; null when none is. */
  busy: FillChoice["approach"] | null;
  /** Why nothing came of the last press. */
  failure: string | null;
  fill: (choice: FillChoice) => void;
}

/** Has warm-ups filled in a worker, and tells what came of it; what is asked for last counts. */
export function useFill(
  from: FillFrom,
  onFilled: (approach: FillChoice["approach"], filled: Filled) => void,
): Filling {
  const [busy, setBusy] = useState<Filling["busy"]>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const callOff = useRef<() => void>(() => {});
  useEffect(() => () => callOff.current(), []);
  return {
    busy,
    failure,
    fill(choice) {
      callOff.current();
      setBusy(choice.approach);
      setFailure(null);
      callOff.current = askFit<"fill">(
        { kind: "fill", order: orderFor(from, choice) },
        {
          onAnswer: (filled) => {
            setBusy(null);
            onFilled(choice.approach, filled);
          },
          onFailure: (sentence) => {
            setBusy(null);
            setFailure(sentence);
          },
        },
      );
    },
  };
}

/** What each approach would give; null until that is known, or where there is nothing to fill from. */
export function useFillPreviews(
  from: FillFrom,
  approaches: readonly Approach[],
  seed: number,
  kit: KitSaid,
): FillPreview[] | null {
  const [first, setFirst] = useState(from);
  // What has been read since; what is changed later, as by filling, does not count.
  const isMore = (of: (from: FillFrom) => boolean) => !of(first) && of(from);
  if (isMore((f) => f.isBeforeKnown) || isMore((f) => f.drills.length > 0) || isMore((f) => f.event !== null))
    setFirst(from);
  const ask = useMemo(() => {
    if (approaches.length === 0 || first.drills.length === 0 || !first.isBeforeKnown) return null;
    const ids = approaches.map((a) => a.id);
    return { kind: "fill-previews" as const, order: { ...orderFrom(first), seed, kit }, approaches: ids };
  }, [first, approaches, seed, kit]);
  return useLatestAnswer(ask).answer;
}
