import { DAY_SECONDS, HOUR_MINUTES, MINUTE_SECONDS } from "./units";

/**
 * Writes a length of time as a coach reads it.
 * @param seconds whole or fractional seconds; a negative length is written with a minus sign (−)
 * @returns `m:ss` below an hour, `h:mm:ss` from an hour on
 * @example formatLength(250) // "4:10"
 */
export function formatLength(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const h = Math.floor(whole / 3600);
  const m = Math.floor((whole % 3600) / 60);
  const s = String(whole % 60).padStart(2, "0");
  const sign = seconds < 0 && whole > 0 ? "−" : "";
  return h > 0 ? `${sign}${h}:${String(m).padStart(2, "0")}:${s}` : `${sign}${m}:${s}`;
}

/**
 * Writes a moment of a plan, which is relative to the start.
 * @param seconds seconds from the start, negative before it
 * @returns `−12:30` before the start, `+0:40` after it, `0:00` at it
 * @example formatMinus(-750) // "−12:30"
 */
export function formatMinus(seconds: number): string {
  const text = formatLength(Math.abs(seconds));
  if (Math.round(seconds) === 0) return "0:00";
  return seconds < 0 ? `−${text}` : `+${text}`;
}

/**
 * Writes a length in words short enough for a sentence.
 * @param seconds whole seconds, 0 or more
 * @example spokenLength(45) // "45 s"; spokenLength(300) // "5 min"; spokenLength(250) // "4:10 min"; spokenLength(9000) // "2 h 30 min"
 */
export function spokenLength(seconds: number): string {
  if (seconds < 60) return `${Math.round(seconds)} s`;
  if (seconds % 60 !== 0) return `${formatLength(seconds)} ${seconds < 3600 ? "min" : "h"}`;
  return seconds < 7200 ? `${seconds / 60} min` : hoursAndMinutes(seconds / 60);
}

const hoursAndMinutes = (minutes: number) =>
  [`${Math.floor(minutes / 60)} h`, minutes % 60 > 0 ? `${minutes % 60} min` : ""].join(" ").trim();

/**
 * Writes how long it is at the least: whole minutes from a minute on, whole days from two days on.
 * @param seconds a negative length counts as 0
 * @example flooredLength(59) // "59 s"; flooredLength(6665) // "1 h 51 min"; flooredLength(200_000) // "2 days"
 */
export function flooredLength(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  if (whole < MINUTE_SECONDS) return `${whole} s`;
  if (whole >= 2 * DAY_SECONDS) return `${Math.floor(whole / DAY_SECONDS)} days`;
  const minutes = Math.floor(whole / MINUTE_SECONDS);
  return minutes < HOUR_MINUTES ? `${minutes} min` : hoursAndMinutes(minutes);
}

/**
 * Writes about how long it is, to five minutes from two hours on.
 * @param seconds 0 or more
 * @example roundLength(2_400) // "40 min"; roundLength(7_260) // "2 h"; roundLength(8_220) // "2 h 15 min"
 */
export function roundLength(seconds: number): string {
  const exact = Math.round(seconds / 60);
  const minutes = exact < 120 ? exact : Math.round(exact / 5) * 5;
  if (minutes < 60) return `${minutes} min`;
  return hoursAndMinutes(minutes);
}
