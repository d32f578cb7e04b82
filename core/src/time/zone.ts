import { TZDate } from "@date-fns/tz";

/** How a wall-clock time stands on its day: once, never (clocks go forward) or twice (clocks go back). */
export type WallClockKind = "once" | "never" | "twice";

export interface ZonedInstant {
  /** ISO 8601 instant in UTC. For `never` the moment after the gap; for `twice` the first of the two. */
  instant: string;
  kind: WallClockKind;
}

const DATE = /^(\d{4})-(\d{2})-(\d{2})$/;
const TIME = /^([01]\d|2[0-3]):([0-5]\d)$/;
const HOUR = 3_600_000;

/** True when the running system knows the IANA time zone by this name. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return zone.length > 0;
  } catch {
    return false;
  }
}

/**
 * Turns a date and time on the venue's wall clock into an instant.
 * @param date `YYYY-MM-DD`; `time` `HH:MM`, 24 hours; `zone` IANA name
 * @throws RangeError naming the part that cannot be read
 * @example zonedInstant("2026-06-01", "14:30", "Europe/Vienna").instant // "2026-06-01T12:30:00.000Z"
 */
export function zonedInstant(date: string, time: string, zone: string): ZonedInstant {
  const d = DATE.exec(date);
  if (!d) throw new RangeError(`The date "${date}" is not a day written as YYYY-MM-DD.`);
  const t = TIME.exec(time);
  if (!t) throw new RangeError(`The time "${time}" is not written as HH:MM, 00:00 to 23:59.`);
  if (!isTimeZone(zone)) throw new RangeError(`The time zone "${zone}" is not known.`);
  const [year, month, day] = [Number(d[1]), Number(d[2]), Number(d[3])];
  const [hour, minute] = [Number(t[1]), Number(t[2])];
  const calendar = new Date(Date.UTC(year, month - 1, day));
  if (calendar.getUTCMonth() !== month - 1 || calendar.getUTCDate() !== day) {
    throw new RangeError(`The date "${date}" is not in the calendar.`);
  }
  const zoned = new TZDate(year, month - 1, day, hour, minute, zone);
  const ms = zoned.getTime();
  const reads = (at: number) => wallClock(new Date(at).toISOString(), zone);
  const wanted = { date, time };
  const same = (at: number) => reads(at).date === wanted.date && reads(at).time === wanted.time;
  if (!same(ms)) return { instant: new Date(ms).toISOString(), kind: "never" };
  // A repeated hour is not always a whole hour (one zone moves by 30 minutes).
  for (const shift of [HOUR, HOUR / 2]) {
    if (same(ms - shift)) return { instant: new Date(ms - shift).toISOString(), kind: "twice" };
    if (same(ms + shift)) return { instant: new Date(ms).toISOString(), kind: "twice" };
  }
  return { instant: new Date(ms).toISOString(), kind: "once" };
}

/**
 * What the venue's clock shows at an instant.
 * @param instant ISO 8601; `zone` IANA name
 * @returns date `YYYY-MM-DD` and time `HH:MM`
 */
export function wallClock(instant: string, zone: string): { date: string; time: string } {
  const at = new TZDate(new Date(instant).getTime(), zone);
  const two = (n: number) => String(n).padStart(2, "0");
  return {
    date: `${String(at.getFullYear()).padStart(4, "0")}-${two(at.getMonth() + 1)}-${two(at.getDate())}`,
    time: `${two(at.getHours())}:${two(at.getMinutes())}`,
  };
}

/**
 * The moment nearest to another at which the venue's clock shows a time: "00:10" asked for a 23:50 start is after
 * midnight, not the night before.
 * @param time `HH:MM`; `zone` IANA name; `around` ISO 8601
 * @throws RangeError when the time or zone cannot be read
 */
export function nearestInstant(time: string, zone: string, around: string): string {
  const at = Date.parse(around);
  const distance = (instant: string) => Math.abs(Date.parse(instant) - at);
  return [-1, 0, 1]
    .map((days) => wallClock(new Date(at + days * 24 * HOUR).toISOString(), zone).date)
    .map((date) => zonedInstant(date, time, zone).instant)
    .reduce((best, instant) => (distance(instant) < distance(best) ? instant : best));
}

/**
 * The moment at which the venue's calendar day of an instant ends.
 * @param instant ISO 8601; `zone` IANA name
 * @returns ISO 8601: the next day's first moment
 */
export function endOfDay(instant: string, zone: string): string {
  const at = new TZDate(Date.parse(instant), zone);
  return new Date(
    new TZDate(at.getFullYear(), at.getMonth(), at.getDate() + 1, zone).getTime(),
  ).toISOString();
}
