import { wallClock } from "@tonodrome/core";

/** Who asks for the device's zone again within so long is told what it was, milliseconds: asking the browser is slow. */
const SAME_ZONE = 60_000;
let asked = { at: Number.NEGATIVE_INFINITY, zone: "" };

/** The zone this device keeps. */
export function deviceZone(): string {
  const at = performance.now();
  if (at - asked.at >= SAME_ZONE) asked = { at, zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
  return asked.zone;
}

const known = new Map<string, Intl.DateTimeFormat>();

/** A formatter kept for the next time: making one costs more than all its uses on a screen. */
function formatter(name: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${name} ${options.timeZone}`;
  const found = known.get(key) ?? new Intl.DateTimeFormat(undefined, options);
  known.set(key, found);
  return found;
}

/** Clock time at the venue, in the person's own way of writing it. */
export function clockTime(instant: string | number, zone: string): string {
  const options = { hour: "2-digit", minute: "2-digit", timeZone: zone, hourCycle: "h23" } as const;
  return formatter("time", options).format(new Date(instant));
}

/** "Today", "Tomorrow", "Yesterday", or the day and date at the venue. */
export function dayName(instant: string, zone: string, now: number): string {
  const day = (at: number) => wallClock(new Date(at).toISOString(), zone).date;
  const apart = Math.round((Date.parse(day(Date.parse(instant))) - Date.parse(day(now))) / 86_400_000);
  if (apart === 0) return "Today";
  if (apart === 1) return "Tomorrow";
  if (apart === -1) return "Yesterday";
  return formatter("day", { weekday: "short", day: "numeric", month: "short", timeZone: zone }).format(
    new Date(instant),
  );
}

/** Day and clock time at a place. @example "Sat, 5 Dec, 14:05" */
export function placeMoment(instant: string, zone: string): string {
  const options = {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: zone,
    hourCycle: "h23",
  } as const;
  return formatter("placeMoment", options).format(new Date(instant));
}

/** A day of the calendar. @param date `YYYY-MM-DD` @example "Sat 5 Dec" */
export function calendarDay(date: string): string {
  return formatter("day", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" }).format(
    new Date(`${date}T12:00:00.000Z`),
  );
}

/** The city of a zone other than the device's, to say whose time it is; null when it is the device's own. */
export function foreignZone(zone: string): string | null {
  return zone === deviceZone() ? null : (zone.split("/").at(-1) ?? zone).replaceAll("_", " ");
}

/** Day and clock time where the device is, for what has no venue. */
export const deviceMoment = (instant: string): string => placeMoment(instant, deviceZone());

/** The day where the device is. */
export function deviceDay(instant: string): string {
  return formatter("deviceDay", { weekday: "short", day: "numeric", month: "short" }).format(
    new Date(instant),
  );
}
