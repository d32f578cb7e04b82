import { contextOf, REMEMBERED } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import type { DoneBefore } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { useEvents } from "~/data/resources/events";
import { askInTurn } from "~/features/fit/askInTurn";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { useSame } from "~/ui/hooks/useSame";

const NOTHING: readonly DoneBefore[] = [];

/** Seconds from one start to another, later one. */
const secondsFrom = (earlier: Start, later: Start) =>
  Math.round((Date.parse(later.startsAt) - Date.parse(earlier.startsAt)) / 1000);

/** What is known of it. */
export interface Before {
  done: readonly DoneBefore[];
  /** False while it is not reckoned yet. */
  isKnown: boolean;
}

/**
 * What an athlete does before a start on the same day, in the warm-ups and starts before it: the body has some of it left.
 * @param others starts of the club, this athlete's among them; undefined while they are read
 */
export function useDoneBefore(start: Start, others: readonly Start[] | undefined): Before {
  const events = useEvents().data;
  const before = (others ?? []).flatMap((other) => {
    const agoSeconds = secondsFrom(other, start);
    const isOf = other.id !== start.id && other.athlete.id === start.athlete.id;
    return isOf && agoSeconds > 0 && agoSeconds < REMEMBERED ? [{ other, agoSeconds }] : [];
  });
  const starts = useSame(before, before.map((b) => `${b.other.stamp} ${b.agoSeconds}`).join());
  const ask = useMemo(
    () =>
      starts.length === 0
        ? null
        : {
            kind: "done-before" as const,
            starts: starts.map(({ other, agoSeconds }) => ({
              title: other.title,
              plan: other.plan.body,
              context: contextOf(other),
              event: events?.find((e) => e.id === other.eventId) ?? null,
              seconds: Math.max(
                0,
                Math.round((Date.parse(other.startsAt) - Date.parse(other.readyAt)) / 1000),
              ),
              agoSeconds,
            })),
          },
    [starts, events],
  );
  const { answer, failure } = useLatestAnswer(ask, askInTurn);
  const isKnown = others !== undefined && (ask === null || answer !== null || failure !== null);
  return { done: (ask && answer) ?? NOTHING, isKnown };
}
