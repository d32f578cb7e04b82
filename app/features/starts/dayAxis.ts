import { HOUR_MS } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { dayName } from "~/ui/dates";

/** The stretch of clock on which the starts of a day stand, milliseconds since the epoch. */
export interface DayAxis {
  from: number;
  to: number;
  /** Round moments on it that are marked. */
  marks: readonly number[];
}

/** Marks are as far apart as leaves at most so many of them. Custom. */
const STEPS = [HOUR_MS / 4, HOUR_MS / 2, HOUR_MS, 2 * HOUR_MS, 4 * HOUR_MS];
const MOST_MARKS = 9;
/** A day longer than this is no day of one clock: the pictures would be specks. Custom. */
const LONGEST_DAY_MS = 12 * HOUR_MS;

/**
 * The clock of the first day among starts: from the earliest that somebody is ready, to the last start.
 * @param ahead starts still to come, soonest first
 * @returns null for fewer than two starts on that day, or where they lie too far apart
 */
export function dayAxisOf(ahead: readonly Start[], now: number): DayAxis | null {
  const [first] = ahead;
  if (!first) return null;
  const day = (s: Start) => dayName(s.startsAt, s.zone, now);
  const same = ahead.filter((s) => day(s) === day(first) && s.zone === first.zone);
  if (same.length < 2) return null;
  const from = Math.min(...same.map((s) => Date.parse(s.readyAt)));
  const to = Math.max(...same.map((s) => Date.parse(s.startsAt)));
  if (to - from > LONGEST_DAY_MS) return null;
  const step = STEPS.find((s) => (to - from) / s <= MOST_MARKS) ?? HOUR_MS;
  const marks: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step) marks.push(at);
  return { from, to, marks };
}

/** Whether a start lies on it. */
export const isOnAxis = ({ startsAt, readyAt }: Start, { from, to }: DayAxis): boolean =>
  Date.parse(readyAt) >= from && Date.parse(startsAt) <= to;
