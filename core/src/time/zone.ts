import { tzOffset } from "@date-fns/tz";
import { DAY_MS, HOUR_MS, MINUTE_MS } from "./units";

/** How a wall-clock time stands on its day: once, never (clocks go forward) or twice (clocks go back). */
export type WallClockKind = "once" | "never" | "twice";

/** What the clock of a place shows, and whether it shows it once, twice or never. */
export interface ZonedInstant {
  /**
   * ISO 8601 instant in UTC. For `twice` the first of the two; for `never` as long after the clocks went forward as the
   * time asked for lies within the hour that is left out (RFC 5545, 3.3.5).
   */
  instant: string;
  kind: WallClockKind;
}

const DATE = /^(\d{4})-(\d{2})-(\d{2})$/;
const TIME = /^([01]\d|2[0-3]):([0-5]\d)$/;

/** Clocks are at most so far behind and ahead of UTC; between two changes of a zone lies more than the sum of both. */
const BEHIND = 12 * HOUR_MS;
const AHEAD = 14 * HOUR_MS;

/** Names that were found to be zones: a list asks for the same one thousands of times, and each asking takes a while. */
const zones = new Set<string>();
const MOST_ZONES = 1_000;

/**
 * Returns whether the running system knows the IANA time zone by this name.
 * @example isTimeZone("Europe/Vienna") // true
 */
export function isTimeZone(zone: string): boolean {
  if (zone.length === 0) return false;
  if (zones.has(zone)) return true;
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    // Other spellings of a name are known too, but need not be remembered: there are many.
    if (zones.size < MOST_ZONES) zones.add(zone);
    return true;
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
  const found = instantsAt(Date.UTC(year, month - 1, day, hour, minute), zone);
  const [first = Number.NaN] = found.instants;
  const kind = found.isShown ? (found.instants.length > 1 ? "twice" : "once") : "never";
  return { instant: new Date(first).toISOString(), kind };
}

/** How far the zone's clock is ahead of UTC at an instant, milliseconds. */
const offsetAt = (at: number, zone: string) => tzOffset(zone, new Date(at)) * MINUTE_MS;

/** What a zone's clock shows at an instant, as if it were UTC, milliseconds. */
const shownAt = (at: number, zone: string) => at + offsetAt(at, zone);

/**
 * Every instant at which a zone's clock shows a time, earliest first: none, one or two. Where there is none, the one that
 * stands for it.
 * @param shown the time as if it were UTC, milliseconds
 */
function instantsAt(shown: number, zone: string): { instants: number[]; isShown: boolean } {
  const [before, after] = [offsetAt(shown - AHEAD, zone), offsetAt(shown + BEHIND, zone)];
  const candidates = [...new Set([shown - before, shown - after])].sort((a, b) => a - b);
  const instants = candidates.filter((at) => shownAt(at, zone) === shown);
  return instants.length > 0 ? { instants, isShown: true } : { instants: [shown - before], isShown: false };
}

/**
 * What the venue's clock shows at an instant.
 * @param instant ISO 8601; `zone` IANA name
 * @returns date `YYYY-MM-DD` and time `HH:MM`
 * @example wallClock("2026-06-01T12:30:00.000Z", "Europe/Vienna") // { date: "2026-06-01", time: "14:30" }
 */
export function wallClock(instant: string, zone: string): { date: string; time: string } {
  const shown = new Date(shownAt(Date.parse(instant), zone)).toISOString();
  return { date: shown.slice(0, 10), time: shown.slice(11, 16) };
}

/**
 * The moment nearest to another at which the venue's clock shows a time: "00:10" asked for a 23:50 start is after
 * midnight, not the night before. A time that comes twice counts twice; one that does not come on a day, as the clocks go
 * forward, is there what stands for it. Of two equally near it is the earlier.
 * @param time `HH:MM`; `zone` IANA name; `around` ISO 8601
 * @throws RangeError when the time or zone cannot be read
 * @example nearestInstant("02:40", "Europe/Vienna", "2026-10-25T01:30:00.000Z") // "2026-10-25T01:40:00.000Z", the second
 */
export function nearestInstant(time: string, zone: string, around: string): string {
  const at = Date.parse(around);
  // Checks the words, and nothing else.
  zonedInstant("2000-01-01", time, zone);
  const [hour = 0, minute = 0] = time.split(":").map(Number);
  const today = Math.floor(shownAt(at, zone) / DAY_MS) * DAY_MS;
  const nearest = [-1, 0, 1]
    .flatMap((days) => instantsAt(today + days * DAY_MS + hour * HOUR_MS + minute * MINUTE_MS, zone).instants)
    .reduce((best, instant) => (Math.abs(instant - at) < Math.abs(best - at) ? instant : best));
  return new Date(nearest).toISOString();
}

/**
 * The moment at which the venue's calendar day of an instant ends.
 * @param instant ISO 8601; `zone` IANA name
 * @returns ISO 8601: the next day's first moment
 * @example endOfDay("2026-06-01T12:30:00.000Z", "Europe/Vienna") // "2026-06-01T22:00:00.000Z"
 */
export function endOfDay(instant: string, zone: string): string {
  const today = Math.floor(shownAt(Date.parse(instant), zone) / DAY_MS) * DAY_MS;
  const [first = Number.NaN] = instantsAt(today + DAY_MS, zone).instants;
  return new Date(first).toISOString();
}
