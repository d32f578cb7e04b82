import { wordKey } from "../words/sameWord";
import { DATE_ORDERS, type DateOrder, readsAs } from "./dates";
import type { ListFault, ListTable } from "./listTable";

/** What a column of a start list may be. */
export const LIST_FIELDS = [
  "athlete",
  "givenName",
  "familyName",
  "title",
  "date",
  "time",
  "at",
  "zone",
  "venue",
  "number",
] as const;
export type ListField = (typeof LIST_FIELDS)[number];

/** Heads that mean a field, as they are usually written. */
const HEADS: Record<ListField, readonly string[]> = {
  athlete: ["athlete", "name", "full name", "competitor", "participant", "starter", "entry", "player"],
  givenName: ["given name", "first name", "forename"],
  familyName: ["family name", "last name", "surname"],
  title: ["event", "title", "category", "class", "discipline", "round", "competition", "segment", "summary"],
  date: ["date", "day", "start date"],
  time: ["time", "start time", "clock", "starts", "begin", "time of start"],
  at: ["start", "starts at", "date and time", "datetime", "instant", "start (utc)"],
  zone: ["time zone", "timezone", "zone", "tz"],
  venue: ["venue", "place", "location", "hall", "rink", "arena"],
  number: [
    "number",
    "no",
    "no.",
    "nr",
    "nr.",
    "#",
    "order",
    "start number",
    "start order",
    "draw",
    "position",
  ],
};

/** How a list is read: which column is which, and what holds for every row that does not say it itself. */
export interface ListReading {
  /** The place of each field's column among the heads; null where there is none. */
  columns: Record<ListField, number | null>;
  /** How dates are written; null where a person has to say it. */
  dates: DateOrder | null;
  /** Said of rows without one. */
  always: { title: string; venue: string; date: string; zone: string };
}

/**
 * What the heads and the first rows of a list say of how it is to be read. What cannot be told is left for a person.
 * @param always what a row that does not say it has
 */
export function recognise(table: ListTable, always: ListReading["always"]): ListReading {
  const heads = table.heads.map((head) => wordKey(head));
  const columns = {} as ListReading["columns"];
  for (const field of LIST_FIELDS) {
    const at = heads.findIndex((head) => HEADS[field].includes(head));
    columns[field] = at < 0 ? null : at;
  }
  const orders = bestOrders(table, columns);
  const isOpen = datesIn(table, columns).length > 0 && orders.length > 1;
  const [dates = "year-first"] = orders;
  // 05/06 is taken for neither unasked.
  return { columns, dates: isOpen ? null : dates, always };
}

/** What the first row looks like where it is no heads: a day, a time or a number. */
const DATA = /^\d{1,4}([.:/-]\d{1,2})*\.?$|^\d{4}-\d\d-\d\dT/;

/** What keeps a table's first row from being its heads: two columns of one name, or a row of what it is about. */
export function headFaults({ heads, rows }: Pick<ListTable, "heads" | "rows">): ListFault[] {
  const line = 1;
  const keys = heads.map((head) => wordKey(head));
  const twice = keys.findIndex((key, i) => key !== "" && keys.indexOf(key) < i);
  if (twice >= 0) {
    const column = heads[twice] ?? null;
    return [{ line, column, message: `Two columns are called “${column}”: give each its own head.` }];
  }
  const isKnown = keys.some((key) => LIST_FIELDS.some((field) => HEADS[field].includes(key)));
  if (!isKnown && heads.some((head) => DATA.test(head)))
    return [
      {
        line,
        column: null,
        message: "The first row has to say what the columns are: name, event, date, time.",
      },
    ];
  if (!isKnown && rows.length === 0)
    return [
      { line, column: null, message: "There is one row only: heads come first, then a row for each start." },
    ];
  return [];
}

/** What stands for days in a list. */
function datesIn({ rows }: ListTable, columns: ListReading["columns"]): string[] {
  const column = columns.date ?? columns.at;
  if (column === null) return [];
  return rows.map((row) => (row.cells[column] ?? "").split(/[T ]/)[0] ?? "").filter((date) => date !== "");
}

/** How many of a list's dates can be read in each order. */
function readableIn(table: ListTable, columns: ListReading["columns"]): Map<DateOrder, number> {
  const dates = datesIn(table, columns);
  const count = (order: DateOrder) => dates.filter((date) => readsAs(date, order) !== null).length;
  return new Map(DATE_ORDERS.map((order) => [order, count(order)]));
}

/** The orders in which most of a list's dates can be read: a slip in one row leaves the others as they are. */
function bestOrders(table: ListTable, columns: ListReading["columns"]): DateOrder[] {
  const readable = readableIn(table, columns);
  const most = Math.max(...readable.values());
  return DATE_ORDERS.filter((order) => readable.get(order) === most);
}

/** Whether dates of a list can be read alike in several ways, or in none, so that a person has to say in which. */
export function areDatesOpen(table: ListTable, { columns }: ListReading): boolean {
  return datesIn(table, columns).length > 0 && bestOrders(table, columns).length > 1;
}
