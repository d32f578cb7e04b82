import { REMEMBERED_SECONDS } from "@tonodrome/core";
import type { ClubEvent, Start } from "@tonodrome/core/api";
import type { StartBefore } from "~/features/fit/fitWorker";

const secondsBetween = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / 1000);

/**
 * What an athlete starts before a start, as far back as the body remembers it.
 * @param others starts of the club, this athlete's among them
 * @returns a key that is the same as long as they are, and what makes them
 */
export function startsBefore(
  start: Start,
  others: readonly Start[],
): { key: string; starts: (events: readonly ClubEvent[] | undefined) => StartBefore[] } {
  const before = others.flatMap((other) => {
    const agoSeconds = secondsBetween(other.startsAt, start.startsAt);
    const isOf = other.id !== start.id && other.athlete.id === start.athlete.id;
    return isOf && agoSeconds > 0 && agoSeconds < REMEMBERED_SECONDS ? [{ other, agoSeconds }] : [];
  });
  return {
    key: before.map(({ other, agoSeconds }) => `${other.stamp} ${agoSeconds}`).join(),
    starts: (events) =>
      before.map(({ other, agoSeconds }) => ({
        title: other.title,
        plan: other.plan.body,
        day: { startsAt: other.startsAt, setting: other.setting, facts: other.facts },
        event: events?.find((e) => e.id === other.eventId) ?? null,
        seconds: Math.max(0, secondsBetween(other.readyAt, other.startsAt)),
        agoSeconds,
      })),
  };
}
