/** In which order a date is written: with the year first, as ISO 8601 has it, or the day, or the month. */
export const DATE_ORDERS = ["year-first", "day-first", "month-first"] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const YEAR_FIRST = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;
const YEAR_LAST = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/;

/**
 * A date in one order of its parts, strictly: years have four digits.
 * @returns `YYYY-MM-DD`; null where it is not written so
 * @example readsAs("5.12.2026", "day-first") // "2026-12-05"
 */
export function readsAs(text: string, order: DateOrder): string | null {
  if (order === "year-first") {
    const [, year = "", month = "", day = ""] = YEAR_FIRST.exec(text) ?? [];
    return dateOf(year, month, day);
  }
  const [, first = "", , second = "", year = ""] = YEAR_LAST.exec(text) ?? [];
  return order === "day-first" ? dateOf(year, second, first) : dateOf(year, first, second);
}

function dateOf(year: string, month: string, day: string): string | null {
  const text = `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
  const at = new Date(`${text}T00:00:00Z`);
  return Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== text ? null : text;
}
