import icalendar, { ICalAlarmType, ICalCalendarMethod, type ICalEventData } from "ical-generator";
import { callOf } from "../day/alarms";
import type { DayFrame } from "../day/constraint";
import { type DayStand, dayPlan } from "../day/day";
import { spokenLength } from "../time/clock";
import { wallClock } from "../time/zone";

/** A day of a calendar. */
export interface CalendarDay extends DayFrame {
  /** The start's own id: every step keeps the same one in every file, so that a second import updates the first. */
  id: string;
  /** What the calendar is called: who starts in what. */
  title: string;
  /** Where it is. */
  venue: string;
  /** Goes up whenever anything of it reads differently. */
  sequence: number;
}

/** A day as a calendar's file is made of it. */
export interface DayCalendarOf extends CalendarDay {
  /** When the file is made, ISO 8601. */
  madeAt: string;
}

/** Most of a calendar's sequence numbers: a 32-bit number. */
const MOST_SEQUENCE = 2_147_483_647;

/**
 * A day as iCalendar (RFC 5545), in UTC, each step an event as it usually is, with when it would be if it goes badly. Written
 * by a library, which folds, quotes and escapes.
 * @returns null where the day cannot hold together
 */
export function dayCalendar(of: DayCalendarOf): string | null {
  return dayPlan(of, "usual").holds ? daysCalendar([of], { name: of.title, madeAt: of.madeAt }) : null;
}

/**
 * Several days in one calendar. Of a day that cannot hold together there is the start alone, which is where it is.
 * @param madeAt ISO 8601; `refreshMinutes` how soon whoever subscribes is to ask again
 */
export function daysCalendar(
  days: readonly CalendarDay[],
  { name, madeAt, refreshMinutes }: { name: string; madeAt: string; refreshMinutes?: number },
): string {
  const calendar = icalendar({
    name,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: "Tonodrome", product: "Tonodrome", language: "EN" },
    ...(refreshMinutes ? { ttl: refreshMinutes * 60 } : {}),
  });
  for (const of of days) for (const event of eventsOf(of, madeAt)) calendar.createEvent(event);
  return calendar.toString();
}

function eventsOf(of: CalendarDay, madeAt: string): ICalEventData[] {
  const usual = dayPlan(of, "usual");
  const bad = dayPlan(of, "bad");
  const zero = Date.parse(of.startsAt);
  const at = (seconds: number) => new Date(zero + seconds * 1000);
  const shared = { sequence: Math.min(of.sequence, MOST_SEQUENCE), stamp: new Date(madeAt) };
  if (!usual.holds) {
    const id = `start.${of.id}@tonodrome`;
    return [{ ...shared, id, start: at(0), summary: of.title, ...(of.venue ? { location: of.venue } : {}) }];
  }
  return usual.stands.map((stand, i) => {
    const { step } = stand;
    const badly = bad.holds ? bad.stands[i] : undefined;
    return {
      ...shared,
      id: `${step.id}.${of.id}@tonodrome`,
      start: at(stand.beginSeconds),
      // An event of no length has a beginning alone.
      ...(stand.endSeconds > stand.beginSeconds ? { end: at(stand.endSeconds) } : {}),
      summary: `${step.name} (${of.title})`,
      ...(step.place || of.venue ? { location: [step.place, of.venue].filter(Boolean).join(", ") } : {}),
      description: description(stand, badly, of),
      ...(callOf(step)
        ? { alarms: [{ type: ICalAlarmType.display, trigger: 0, description: callOf(step) ?? step.name }] }
        : {}),
    };
  });
}

/** What else there is to a step: its note, its list, and when it would be if it goes badly. */
function description(stand: DayStand, badly: DayStand | undefined, of: DayFrame): string {
  const { step } = stand;
  const clock = (s: DayStand) =>
    wallClock(new Date(Date.parse(of.startsAt) + s.beginSeconds * 1000).toISOString(), of.zone).time;
  const lines = [
    step.note,
    step.list.length > 0 ? step.list.join(", ") : "",
    `At the venue: ${clock(stand)}`,
    badly && badly.beginSeconds !== stand.beginSeconds ? `If it goes badly: ${clock(badly)}` : "",
    stand.slackSeconds ? `May move by ${spokenLength(stand.slackSeconds)}` : "",
  ];
  return lines.filter(Boolean).join("\n");
}
