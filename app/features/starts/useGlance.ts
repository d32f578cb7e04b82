import { useQueryClient } from "@tanstack/react-query";
import { hashOf, MINUTE_SECONDS } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import type { Glance } from "@tonodrome/core/judge";
import { useEffect, useState } from "react";
import { putGlance } from "~/data/queries/glances";
import { useKeptGlance } from "~/data/queries/useKeptGlance";
import { useAthletes } from "~/data/resources/athletes";
import { useEvents } from "~/data/resources/events";
import { askInTurn } from "~/features/fit/askInTurn";
import type { StartBefore } from "~/features/fit/fitWorker";
import { startsBefore } from "~/features/judge/startsBefore";
import { useStable } from "~/ui/hooks/useStable";

const NOTHING: readonly StartBefore[] = [];

/** A time counting down is fitted anew only once a minute: a plan that begins within the minute below holds too. */

/**
 * How a start stands: fitted in a worker, one start after the other, and kept on the device, so that a list that is opened
 * again says at once when to begin. What was found before stands until it is found anew, as long as the start is the same.
 * @param availableSeconds time available; null where it does not matter any more
 * @param others the club's starts
 */
export function useGlance(
  start: Start,
  availableSeconds: number | null,
  others: readonly Start[],
): { glance: Glance | null; failure: string | null } {
  const client = useQueryClient();
  const kept = useKeptGlance(start.id);
  const [failed, setFailed] = useState<{ of: string; sentence: string } | null>(null);
  const { data: events, isPending: readsEvents } = useEvents();
  const { data: athletes, isPending: readsAthletes } = useAthletes();
  const training = athletes?.find((a) => a.id === start.athlete.id)?.profile ?? null;
  const found = startsBefore(start, others);
  const before = found.key ? found.starts(events) : NOTHING;
  const seconds = availableSeconds === null ? null : availableSeconds - (availableSeconds % MINUTE_SECONDS);
  const of =
    seconds === null
      ? null
      : // By a mark of it: what it goes by is kept on this device, and tells of nobody's health.
        [
          start.stamp,
          seconds,
          found.key,
          hashOf(JSON.stringify([before.map((b) => b.event), training])),
        ].join(" ");
  // Asked once, of everything that it goes by.
  const isAsked = of !== null && kept?.of !== of && !readsEvents && !readsAthletes;
  const ask = useStable(() => {
    const { startsAt, setting, facts, stamp } = start;
    return askInTurn(
      {
        kind: "glance",
        start: { plan: start.plan.body, day: { startsAt, setting, facts }, seconds: seconds ?? 0, training },
        before,
      },
      {
        onAnswer: (glance) => putGlance(client, start.id, { stamp, of: of ?? "", glance }),
        onFailure: (sentence) => setFailed({ of: of ?? "", sentence }),
      },
    );
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when it is for something else
  useEffect(() => (isAsked ? ask() : undefined), [isAsked, of, ask]);
  return {
    glance: kept?.stamp === start.stamp ? kept.glance : null,
    failure: failed && failed.of === of ? failed.sentence : null,
  };
}
