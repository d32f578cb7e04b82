import {
  compareList,
  DATE_ORDERS,
  type DateOrder,
  type ListFault,
  type RowNews,
  readEntries,
  readListTable,
  recognise,
} from "@tonodrome/core/start-list";
import type { ClubLines } from "./clubLines";
import { listIntoClub } from "./listIntoClub";
import { tableText } from "./tableText";

/** What an import is told besides the list. */
export interface ImportOptions {
  /** What rows have that do not say it themselves. */
  always: { title: string; venue: string; date: string; zone: string };
  addAthletes: boolean;
  /** How dates are written, where that was said. */
  dates: DateOrder | null;
}

/** What would become of a list, and the club as it would be; or the list's faults. */
export type ListImport = { faults: ListFault[] } | { news: RowNews[]; club: ClubLines };

/** Compares a start list with a club's file. */
export function importList(
  text: string,
  club: ClubLines,
  { always, addAthletes, dates }: ImportOptions,
): ListImport {
  const read = readListTable(text);
  if ("faults" in read) return read;
  const reading = recognise(read.table, always);
  if (reading.dates === null && dates === null)
    return {
      faults: [
        {
          line: 1,
          column: null,
          message: `The dates can be read in several ways, or in none: give --dates ${DATE_ORDERS.join(", ")}.`,
        },
      ],
    };
  const { entries, faults } = readEntries(read.table, { ...reading, dates: dates ?? reading.dates });
  if (faults.length > 0) return { faults };
  const { records } = club;
  const athletes = records.flatMap((r) => (r.record === "athlete" ? [r] : []));
  const events = records.flatMap((r) => (r.record === "event" && !r.archived ? [r] : []));
  const starts = records.flatMap((r) => (r.record === "start" ? [r] : []));
  const known = starts.map((start) => ({
    ...start,
    listedAt: start.listedAt ?? start.startsAt,
    number: start.order?.number ?? null,
  }));
  const news = compareList(entries, { athletes, events, starts: known }, addAthletes);
  const wrong = news.flatMap((row) =>
    row.state === "fault" ? [{ line: row.line, column: null, message: row.message }] : [],
  );
  if (wrong.length > 0) return { faults: wrong };
  const into = listIntoClub(club, entries, news);
  return "faults" in into ? into : { news, club: into };
}

/** What would become of each row, to be read. */
export function newsText(news: readonly RowNews[]): string {
  const rows = news.map((row) => {
    const start = "start" in row ? row.start : null;
    const what = row.state === "changed" ? `changed: ${row.changed.join(", ")}` : STATES[row.state];
    return [String(row.line), what, row.athlete, row.title, start?.startsAt ?? ""];
  });
  const count = (state: RowNews["state"]) => news.filter((row) => row.state === state).length;
  const fresh = count("new") + count("new-athlete");
  const last = `${fresh} new, ${count("changed")} changed, ${count("same")} as they are, ${count("other")} not of the club`;
  return [...tableText([["line", "becomes", "athlete", "event", "start"], ...rows], 2), "", last].join("\n");
}

const STATES: Record<Exclude<RowNews["state"], "changed">, string> = {
  new: "new",
  "new-athlete": "new, and so is the athlete",
  same: "as it is",
  other: "not of the club",
  fault: "fault",
};
