import type { TableRead } from "../startList/listTable";
import { calendarTable } from "./calendarTable";
import { csvTable } from "./csvTable";

/** Reads a start list, whichever of the two it is: a calendar begins as one, and everything else is a table. */
export function readListTable(text: string): TableRead {
  return /^\ufeff?\s*BEGIN:VCALENDAR/i.test(text) ? calendarTable(text) : csvTable(text);
}
