import { wallClock } from "@tonodrome/core";
import type { DayFrame, DayPlan, DayStep } from "@tonodrome/core/day";

/** A step as a day's list shows it. Instants are milliseconds since the epoch; null where a version cannot be. */
export interface DayRow {
  step: DayStep;
  begins: Record<"usual" | "bad", number | null>;
  ends: number | null;
  /** By how much it may be later or earlier, seconds; null where nothing says so. */
  slackSeconds: number | null;
  isTight: boolean;
  /** It comes after the start: as soon as it may, while what comes before it comes as late as it may. */
  isAfter: boolean;
  /** Nothing to do until the next step in line, seconds; 0 where it follows at once. */
  freeSeconds: number;
}

/** The steps of one day of the calendar. */
export interface DayPart {
  /** At the venue, `YYYY-MM-DD`; null where the day cannot be. */
  date: string | null;
  rows: DayRow[];
}

/** Shorter free time is not worth a word, seconds. Custom. */
const LEAST_FREE = 600;

/** The steps as they come, by days of the venue's calendar; in the order of the list where the usual version cannot be. */
export function dayRows({ startsAt, zone, steps }: DayFrame, usual: DayPlan, bad: DayPlan): DayPart[] {
  const zero = Date.parse(startsAt);
  const at = (plan: DayPlan, i: number) =>
    plan.holds ? zero + (plan.stands[i]?.beginSeconds ?? 0) * 1000 : null;
  const startAt = steps.findIndex((s) => s.kind === "start");
  const rows = steps.map((step, i): DayRow => {
    const stand = usual.holds ? usual.stands[i] : undefined;
    return {
      step,
      begins: { usual: at(usual, i), bad: at(bad, i) },
      ends: stand ? zero + stand.endSeconds * 1000 : null,
      slackSeconds: stand?.slackSeconds ?? null,
      isTight: stand?.isTight ?? false,
      isAfter: i > startAt,
      freeSeconds: 0,
    };
  });
  if (!usual.holds) return [{ date: null, rows }];
  const inOrder = rows
    .map((row, i) => ({ row, i }))
    .sort((a, b) => (a.row.begins.usual ?? 0) - (b.row.begins.usual ?? 0) || a.i - b.i)
    .map(({ row }) => row);
  const inLine = inOrder.filter((r) => !r.step.beside);
  inLine.forEach((row, i) => {
    const next = inLine[i + 1]?.begins.usual;
    const free = next ? Math.round((next - (row.ends ?? next)) / 1000) : 0;
    row.freeSeconds = free >= LEAST_FREE ? free : 0;
  });
  const parts: DayPart[] = [];
  for (const row of inOrder) {
    const { date } = wallClock(new Date(row.begins.usual ?? zero).toISOString(), zone);
    const last = parts.at(-1);
    if (last?.date === date) last.rows.push(row);
    else parts.push({ date, rows: [row] });
  }
  return parts;
}

/** How far a day is from that of the start, in words. @example "the day before" */
export function daysApart(date: string, startsAt: string, zone: string): string {
  const apart = Math.round((Date.parse(date) - Date.parse(wallClock(startsAt, zone).date)) / 86_400_000);
  if (apart === 0) return "the day of the start";
  if (apart === -1) return "the day before";
  if (apart === 1) return "the day after";
  return apart < 0 ? `${-apart} days before` : `${apart} days after`;
}
