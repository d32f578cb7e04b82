import type { Day, Start } from "@tonodrome/core/api";
import {
  type DayFrame,
  type DayPlan,
  type DayStep,
  dayPlan,
  isOneDay,
  previousStart,
  USUAL_TRAVEL,
  usualDay,
} from "@tonodrome/core/day";
import type { Glance } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { useMay } from "~/data/account/useAccount";
import { useNowNear } from "~/data/client/useNow";
import { type DayDraft, useDayDraft } from "~/data/day/useDayDraft";
import { useAthletes } from "~/data/resources/athletes";
import { useUsualDayOf } from "~/data/resources/days";
import { useEvents } from "~/data/resources/events";
import { useStarts, useStartsBefore } from "~/data/resources/starts";
import { availableFor } from "~/features/starts/startView";
import { useGlance } from "~/features/starts/useGlance";

/** Where the steps of a day come from: saved for this start, or what it begins with. */
export type DaySource = "own" | "athlete" | "event" | "usual";

/** What a day may begin with; null where that is not kept. */
export type DayBeginnings = Record<Exclude<DaySource, "own">, readonly DayStep[] | null> & {
  usual: readonly DayStep[];
};

/** The day of a start, counted back in both versions. */
export interface DayModel {
  start: Start;
  mayBuild: boolean;
  draft: DayDraft;
  source: DaySource;
  beginnings: DayBeginnings;
  frame: DayFrame;
  plans: Record<"usual" | "bad", DayPlan>;
  /** What the same athlete starts in on the same day at the venue, this one included, in order. */
  sameDay: readonly Start[];
  /** The warm-up as it stands; null while it is not known. */
  glance: Glance | null;
  /** Whether the frame goes by what the warm-up really takes, or there is nothing to wait for any more. */
  isFitted: boolean;
  /** Goes up whenever the start, its warm-up or its day reads differently. */
  version: number;
  edit: (steps: readonly DayStep[]) => void;
}

const NONE: readonly Start[] = [];

/** What an athlete starts in on the day of a start at its venue, in order. */
export function startsOfDay(start: Start, others: readonly Start[]): Start[] {
  const all = others.filter(
    (o) =>
      o.id !== start.id &&
      o.athlete.id === start.athlete.id &&
      isOneDay(o.startsAt, start.startsAt, start.zone),
  );
  const each = new Map([...all, start].map((s) => [s.id, s]));
  return [...each.values()].sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt));
}

/** @param read the day as the server has it */
export function useDay(start: Start, read: Day): DayModel {
  const mayBuild = useMay("build");
  const mayRead = useMay("read");
  const now = useNowNear(() => [Date.parse(start.startsAt)]);
  const events = useEvents().data;
  const athletes = useAthletes().data;
  const others = useStarts().data ?? NONE;
  // Today forgets a start three hours after it; its day does not.
  const earlier = useStartsBefore(start.athlete.id, start.startsAt).data ?? NONE;
  const event = events?.find((e) => e.id === start.eventId) ?? null;
  const equipment = athletes?.find((a) => a.id === start.athlete.id)?.profile.equipment;
  const draft = useDayDraft(start.id, read);
  const ofAthlete = useUsualDayOf("athletes", mayRead ? start.athlete.id : null).data?.steps ?? null;
  const ofEvent = useUsualDayOf("events", mayRead ? start.eventId : null).data?.steps ?? null;
  const isEmpty = start.plan.body.items.length === 0;
  const available = availableFor(start, now);
  const { glance, failure } = useGlance(start, isEmpty ? null : available, others);
  // Until the fit is known, and where there is nothing to fit: the time that there is for it.
  const warmUpSeconds = glance && !isEmpty ? -glance.beginSeconds : available;
  const { startsAt, zone } = start;
  const sameDay = useMemo(() => startsOfDay(start, [...earlier, ...others]), [start, earlier, others]);
  const previous = useMemo(() => {
    const last = previousStart({ startsAt, zone }, sameDay);
    return last && { startsAt: last.startsAt, event: events?.find((e) => e.id === last.eventId) ?? null };
  }, [startsAt, zone, sameDay, events]);
  const usual = useMemo(
    () => usualDay({ startsAt, zone, warmUpSeconds, event, travel: USUAL_TRAVEL, equipment, previous }),
    [startsAt, zone, warmUpSeconds, event, equipment, previous],
  );
  const beginnings = useMemo(
    () => ({ athlete: ofAthlete, event: ofEvent, usual }),
    [ofAthlete, ofEvent, usual],
  );
  // What is kept for the athlete or the event has the evening before in it: it is for the first start of a day.
  const kept = previous ? null : (ofAthlete ?? ofEvent);
  const steps = draft.steps ?? kept ?? usual;
  const source = draft.steps ? "own" : !kept ? "usual" : ofAthlete ? "athlete" : "event";
  const frame = useMemo(
    () => ({ startsAt, zone, warmUpSeconds, steps }),
    [startsAt, zone, warmUpSeconds, steps],
  );
  const plans = useMemo(() => ({ usual: dayPlan(frame, "usual"), bad: dayPlan(frame, "bad") }), [frame]);
  const version = start.version + start.plan.version + read.version;
  return {
    sameDay,
    version,
    start,
    mayBuild,
    draft,
    source,
    beginnings,
    frame,
    plans,
    glance,
    isFitted: isEmpty || glance !== null || failure !== null,
    edit: draft.edit,
  };
}
