import { MOST_NUMBER } from "../order/runningOrder";
import { instantSchema } from "../time/instant";
import { isTimeZone, zonedInstant } from "../time/zone";
import { cutText } from "../words/cutText";
import { nameSchema, noteSchema } from "../words/text";
import type { ListField, ListReading } from "./columns";
import { type DateOrder, readsAs } from "./dates";
import type { ListFault, ListTable, ListTableRow } from "./listTable";

/** One row of a start list, read. */
export interface ListEntry {
  /** The line of the file it is from. */
  line: number;
  /** As the file has it; empty where the title may begin or end with it. */
  athlete: string;
  title: string;
  venue: string;
  /** IANA name. */
  zone: string;
  /** ISO 8601. */
  startsAt: string;
  /** Number in the running order; null where there is none. */
  number: number | null;
}

/** How a date is written in each order, for whoever has to write one. */
const WRITTEN: Record<DateOrder, string> = {
  "year-first": "2026-12-05",
  "day-first": "05.12.2026",
  "month-first": "12/05/2026",
};

const CLOCK = /^(\d{1,2})[:.](\d{2})(?::00)?$/;
const INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/;

/** Reads every row of a list: what holds of those that can be read, and every fault of the others. */
export function readEntries(
  table: ListTable,
  reading: ListReading,
): { entries: ListEntry[]; faults: ListFault[] } {
  const entries: ListEntry[] = [];
  const faults: ListFault[] = [];
  for (const row of table.rows) {
    const found: ListFault[] = [];
    const entry = entryOf(table, row, reading, (field, message) => {
      const column = field === null ? null : reading.columns[field];
      found.push({ line: row.line, column: column === null ? null : (table.heads[column] ?? null), message });
    });
    if (found.length === 0 && entry) entries.push(entry);
    faults.push(...found);
  }
  return { entries, faults };
}

type Tell = (field: ListField | null, message: string) => void;

function entryOf(
  { kind }: ListTable,
  { line, cells }: ListTableRow,
  { columns, dates, always }: ListReading,
  tell: Tell,
): ListEntry | null {
  const cell = (field: ListField) => {
    const column = columns[field];
    return column === null ? "" : (cells[column] ?? "");
  };
  const name = cell("athlete") || [cell("givenName"), cell("familyName")].filter(Boolean).join(" ");
  if (!name && kind === "csv") tell("athlete", "Nobody is named here.");
  else if (name && !nameSchema.safeParse(name).success)
    tell("athlete", "This is not a name of one line, at most 120 characters.");
  const title = cell("title") || always.title;
  if (!nameSchema.safeParse(title).success)
    tell(
      "title",
      title
        ? "At most 120 ordinary characters."
        : "Say what is started: choose a column, or give it for all rows.",
    );
  const venue = cell("venue") || always.venue;
  if (!noteSchema.safeParse(venue).success) tell("venue", "At most 200 ordinary characters.");
  const zone = cell("zone") || always.zone;
  if (!isTimeZone(zone))
    tell("zone", `“${cut(zone)}” is no time zone: give an IANA name like Europe/Vienna.`);
  const number = numberOf(cell("number"), tell);
  const startsAt = isTimeZone(zone) ? momentOf(cell, dates, always.date, zone, tell) : null;
  return startsAt ? { line, athlete: name, title, venue, zone, startsAt, number } : null;
}

function numberOf(text: string, tell: Tell): number | null {
  if (text === "") return null;
  const number = Number(text.replace(/\.$/, ""));
  if (/^\d+\.?$/.test(text) && number >= 1 && number <= MOST_NUMBER) return number;
  tell("number", `“${cut(text)}” is no number from 1 to ${MOST_NUMBER}.`);
  return null;
}

/** The moment of a start: an instant, or a date and a time on the venue's clock. */
function momentOf(
  cell: (field: ListField) => string,
  dates: DateOrder | null,
  usualDate: string,
  zone: string,
  tell: Tell,
): string | null {
  const whole = cell("at");
  if (INSTANT.test(whole) && !Number.isNaN(Date.parse(whole)))
    return inRange(new Date(whole).toISOString(), tell, "at");
  // Date and time in one cell, without saying where: the venue's clock.
  const [dayPart = "", clockPart = ""] = whole.split(/[T ]+/);
  const dateField = whole ? "at" : "date";
  const timeField = whole ? "at" : "time";
  const date = (whole ? dayPart : cell("date")) || "";
  const day = date === "" ? usualDate : dates ? readsAs(date, dates) : null;
  const time = clockOf(whole ? clockPart : cell("time"));
  if (!day)
    tell(
      dateField,
      date
        ? dates
          ? `“${cut(date)}” is not written like ${WRITTEN[dates]}.`
          : `“${cut(date)}” can be read in several ways, or in none: say whether the year, the day or the month comes first.`
        : "Say on which day: choose a column, or give it for all rows.",
    );
  if (!time) tell(timeField, "Give the time in 24 hours, like 14:05.");
  if (!day || !time) return null;
  const { instant, kind } = zonedInstant(day, time, zone);
  if (kind === "never") {
    tell(timeField, `${time} does not exist on that day: the clocks go forward over it.`);
    return null;
  }
  return inRange(instant, tell, dateField);
}

function inRange(instant: string, tell: Tell, field: ListField): string | null {
  if (instantSchema.safeParse(instant).success) return instant;
  tell(field, "Give a day between the years 2000 and 2100.");
  return null;
}

function clockOf(text: string): string | null {
  const [, hour = "", minute = ""] = CLOCK.exec(text) ?? [];
  if (hour === "" || Number(hour) > 23 || Number(minute) > 59) return null;
  return `${hour.padStart(2, "0")}:${minute}`;
}

const cut = (text: string) => (text.length > 30 ? `${cutText(text, 29)}…` : text);
