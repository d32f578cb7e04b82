import ICAL from "ical.js";
import {
  type ListFault,
  type ListTableRow,
  type TableRead,
  tooLongFor,
  tooManyRows,
} from "../startList/listTable";
import { isTimeZone } from "../time/zone";

/** What a calendar's rows have, by heads that `columns.ts` knows. */
const HEADS = ["Event", "Date", "Time", "Start", "Time zone", "Venue"];

/**
 * Reads a calendar (RFC 5545) as a list, one row for each of its events. By another library than the one that writes
 * calendars here.
 */
export function calendarTable(text: string): TableRead {
  const tooLong = tooLongFor(text.length);
  if (tooLong) return { faults: [tooLong] };
  const lines = eventLines(text);
  const faults: ListFault[] = [];
  const rows: ListTableRow[] = [];
  try {
    const calendars = calendarsIn(text);
    if (calendars.some((calendar) => methodOf(calendar) === "CANCEL"))
      return { faults: [{ line: 1, column: null, message: "This file cancels events, and has no starts." }] };
    const events = calendars.flatMap((calendar) => calendar.getAllSubcomponents("vevent"));
    for (const [i, event] of events.entries()) {
      const line = lines[i] ?? 1;
      const read = cellsOf(event);
      if (typeof read === "string") faults.push({ line, column: "Start", message: read });
      else rows.push({ line, cells: read });
    }
  } catch (error) {
    return {
      faults: [{ line: 1, column: null, message: `This is not a calendar: ${(error as Error).message}` }],
    };
  }
  if (rows.length + faults.length === 0)
    return { faults: [{ line: 1, column: null, message: "There is no event in this calendar." }] };
  const tooMany = tooManyRows(rows);
  if (tooMany) faults.push(tooMany);
  if (faults.length > 0) return { faults };
  return { table: { kind: "calendar", heads: HEADS, rows } };
}

/** The calendars of a file, one after the other. @throws Error where there is none */
function calendarsIn(text: string): ICAL.Component[] {
  const parsed: unknown[] = ICAL.parse(text);
  const all = Array.isArray(parsed[0]) ? (parsed as unknown[][]) : [parsed];
  return all.filter((one) => one.length > 0).map((one) => new ICAL.Component(one));
}

const methodOf = (calendar: ICAL.Component) =>
  String(calendar.getFirstPropertyValue("method") ?? "").toUpperCase();

/** What of a date and time can be no date and time: the library would go on counting into the next month. */
function isInCalendar(property: ICAL.Property): boolean {
  const raw: unknown = property.jCal[3];
  const parts = typeof raw === "string" ? /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d):(\d\d)Z?$/.exec(raw) : null;
  if (!parts) return false;
  const [, year, month, day, hour, minute, second] = parts.map(Number) as [number, ...number[]];
  const at = new Date(Date.UTC(year ?? 0, (month ?? 0) - 1, day, hour, minute, second));
  // A leap second is one (RFC 5545, 3.3.5).
  const isTime = (hour ?? 24) < 24 && (minute ?? 60) < 60 && (second ?? 61) <= 60;
  return isTime && at.getUTCMonth() === (month ?? 0) - 1 && at.getUTCDate() === day;
}

/** The cells of an event; or why it is no start. */
function cellsOf(event: ICAL.Component): string[] | string {
  const when = event.getFirstPropertyValue("dtstart");
  if (!(when instanceof ICAL.Time)) return "This event has no beginning.";
  if (when.isDate) return "This event has a day and no time of day.";
  if (event.hasProperty("rrule") || event.hasProperty("rdate") || event.hasProperty("recurrence-id"))
    return "This event repeats: give each start as an event of its own.";
  if (String(event.getFirstPropertyValue("status") ?? "").toUpperCase() === "CANCELLED")
    return "This event was cancelled: take it out of the file.";
  const begins = event.getFirstProperty("dtstart");
  if (begins && !isInCalendar(begins)) return "This is no day and time that there is.";
  const zone = zoneOf(event);
  // One that the file itself describes is known by its description.
  if (zone !== "" && !isTimeZone(zone) && when.zone === ICAL.Timezone.localTimezone)
    return `“${zone}” is no time zone: give an IANA name like Europe/Vienna.`;
  return [words(event, "summary"), ...timeCells(event, when), words(event, "location")];
}

/** Date, time, start and zone: either a place's clock and its zone, or an instant. */
function timeCells(event: ICAL.Component, when: ICAL.Time): [string, string, string, string] {
  const zone = zoneOf(event);
  const isInstant = when.zone === ICAL.Timezone.utcTimezone || (zone !== "" && !isTimeZone(zone));
  if (isInstant) return ["", "", when.toJSDate().toISOString(), ""];
  const [date = "", time = ""] = when.toString().split("T");
  return [date, time.slice(0, 5), "", zone];
}

/** The name of the zone that an event begins in; empty where it names none. */
function zoneOf(event: ICAL.Component): string {
  const named = event.getFirstProperty("dtstart")?.getParameter("tzid");
  return typeof named === "string" ? named.replace(/^\//, "") : "";
}

const words = (event: ICAL.Component, name: string) =>
  String(event.getFirstPropertyValue(name) ?? "")
    .replace(/\s+/g, " ")
    .trim();

/** The lines on which events begin. */
const eventLines = (text: string) =>
  text.split(/\r\n|\r|\n/).flatMap((line, i) => (/^BEGIN:VEVENT\s*$/i.test(line) ? [i + 1] : []));
