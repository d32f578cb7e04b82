import type { Start } from "@tonodrome/core/api";
import type { DoneBefore } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { useEvents } from "~/data/resources/events";
import { askInTurn } from "~/features/fit/askInTurn";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { useSame } from "~/ui/hooks/useSame";
import { startsBefore } from "./startsBefore";

const NOTHING: readonly DoneBefore[] = [];

/** What is known of it. */
export interface Before {
  done: readonly DoneBefore[];
  /** False until it is computed. */
  isKnown: boolean;
}

/**
 * What an athlete does before a start on the same day, in the warm-ups and starts before it: the body has some of it left.
 * @param others starts of the club, this athlete's among them; undefined while they are read
 */
export function useDoneBefore(start: Start, others: readonly Start[] | undefined): Before {
  const events = useEvents().data;
  const found = startsBefore(start, others ?? []);
  const before = useSame(found, found.key);
  const ask = useMemo(() => {
    const starts = before.starts(events);
    return starts.length === 0 ? null : { kind: "done-before" as const, starts };
  }, [before, events]);
  const { answer, failure } = useLatestAnswer(ask, askInTurn);
  const isKnown = others !== undefined && (ask === null || answer !== null || failure !== null);
  return { done: (ask && answer) ?? NOTHING, isKnown };
}
