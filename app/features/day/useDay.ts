import type { Day, Start } from "@tonodrome/core/api";
import {
  type DayFrame,
  type DayPlan,
  type DayStep,
  dayPlan,
  USUAL_TRAVEL,
  usualDay,
} from "@tonodrome/core/day";
import type { Glance } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { useMay } from "~/data/account/account";
import { useNowNear } from "~/data/client/useNow";
import { type DayDraft, useDayDraft } from "~/data/day/dayDraft";
import { useAthletes } from "~/data/resources/athletes";
import { useUsualDayOf } from "~/data/resources/days";
import { useEvents } from "~/data/resources/events";
import { useStarts } from "~/data/resources/starts";
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
  /** The warm-up as it stands; null while it is not known. */
  glance: Glance | null;
  /** Goes up whenever the start, its warm-up or its day reads differently. */
  version: number;
  edit: (steps: readonly DayStep[]) => void;
}

const NONE: readonly Start[] = [];

/** @param read the day as the server has it */
export function useDay(start: Start, read: Day): DayModel {
  const mayBuild = useMay("build");
  const mayRead = useMay("read");
  const now = useNowNear(() => [Date.parse(start.startsAt)]);
  const events = useEvents().data;
  const athletes = useAthletes().data;
  const others = useStarts().data ?? NONE;
  const event = events?.find((e) => e.id === start.eventId) ?? null;
  const equipment = athletes?.find((a) => a.id === start.athlete.id)?.profile.equipment;
  const draft = useDayDraft(start.id, read);
  const ofAthlete = useUsualDayOf("athletes", mayRead ? start.athlete.id : null).data?.steps ?? null;
  const ofEvent = useUsualDayOf("events", mayRead ? start.eventId : null).data?.steps ?? null;
  const isEmpty = start.plan.body.items.length === 0;
  const available = availableFor(start, now);
  const { glance } = useGlance(start, isEmpty ? null : available, others);
  // Until the fit is known, and where there is nothing to fit: the time that there is for it.
  const warmUpSeconds = glance && !isEmpty ? -glance.beginSeconds : available;
  const { startsAt, zone } = start;
  const usual = useMemo(
    () => usualDay({ startsAt, zone, warmUpSeconds, event, travel: USUAL_TRAVEL, equipment }),
    [startsAt, zone, warmUpSeconds, event, equipment],
  );
  const beginnings = useMemo(
    () => ({ athlete: ofAthlete, event: ofEvent, usual }),
    [ofAthlete, ofEvent, usual],
  );
  const steps = draft.steps ?? ofAthlete ?? ofEvent ?? usual;
  const source = draft.steps ? "own" : ofAthlete ? "athlete" : ofEvent ? "event" : "usual";
  const frame = useMemo(
    () => ({ startsAt, zone, warmUpSeconds, steps }),
    [startsAt, zone, warmUpSeconds, steps],
  );
  const plans = useMemo(() => ({ usual: dayPlan(frame, "usual"), bad: dayPlan(frame, "bad") }), [frame]);
  const version = start.version + start.plan.version + read.version;
  return { version, start, mayBuild, draft, source, beginnings, frame, plans, glance, edit: draft.edit };
}
