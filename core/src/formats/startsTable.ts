import { wallClock } from "../time/zone";
import { csvText } from "./csvText";

/** A start as a row has it. */
export interface StartInTable {
  athlete: string;
  title: string;
  venue: string;
  zone: string;
  /** Instants, ISO 8601. */
  listedAt: string;
  startsAt: string;
  number: number | null;
}

/** Starts by the list's times, as a list that reads back: the same starts, none of them changed. */
export function startsCsv(starts: readonly StartInTable[]): string {
  return csvText(
    ["Athlete", "Event", "Start", "Time zone", "Venue", "No.", "Local day", "Local time", "Now at"],
    starts.map(({ athlete, title, listedAt, zone, venue, number, startsAt }) => {
      const { date, time } = wallClock(listedAt, zone);
      const now = startsAt === listedAt ? "" : wallClock(startsAt, zone).time;
      return [athlete, title, listedAt, zone, venue, number ?? "", date, time, now];
    }),
  );
}
