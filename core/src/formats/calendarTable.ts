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
    for (const [i, event] of eventsIn(text).entries()) {
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

/** @throws Error where it is not a calendar */
function eventsIn(text: string): ICAL.Component[] {
  const parsed: unknown[] = ICAL.parse(text.replace(/^\ufeff/, ""));
  return parsed.length > 0 ? new ICAL.Component(parsed).getAllSubcomponents("vevent") : [];
}

/** The cells of an event; or why it is no start. */
function cellsOf(event: ICAL.Component): string[] | string {
  const when = event.getFirstPropertyValue("dtstart");
  if (!(when instanceof ICAL.Time)) return "This event has no beginning.";
  if (when.isDate) return "This event has a day and no time of day.";
  if (event.hasProperty("rrule") || event.hasProperty("rdate"))
    return "This event repeats: give each start as an event of its own.";
  return [words(event, "summary"), ...timeCells(event, when), words(event, "location")];
}

/** Date, time, start and zone: either a place's clock and its zone, or an instant. */
function timeCells(event: ICAL.Component, when: ICAL.Time): [string, string, string, string] {
  const named = event.getFirstProperty("dtstart")?.getParameter("tzid");
  const zone = typeof named === "string" ? named.replace(/^\//, "") : "";
  const isInstant = when.zone === ICAL.Timezone.utcTimezone || (zone !== "" && !isTimeZone(zone));
  if (isInstant) return ["", "", when.toJSDate().toISOString(), ""];
  const [date = "", time = ""] = when.toString().split("T");
  return [date, time.slice(0, 5), "", zone];
}

const words = (event: ICAL.Component, name: string) =>
  String(event.getFirstPropertyValue(name) ?? "")
    .replace(/\s+/g, " ")
    .trim();

/** The lines on which events begin. */
const eventLines = (text: string) =>
  text.split(/\r\n|\r|\n/).flatMap((line, i) => (/^BEGIN:VEVENT\s*$/i.test(line) ? [i + 1] : []));
