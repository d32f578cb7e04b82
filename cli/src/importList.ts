import { randomUUID } from "node:crypto";
import { emptyPlan, noProfile, usualSetting } from "@tonodrome/core";
import type { ClubRecord } from "@tonodrome/core/api";
import {
  compareList,
  DATE_ORDERS,
  type DateOrder,
  type ListedStart,
  type ListFault,
  nameKey,
  type RowNews,
  readEntries,
  readListTable,
  recognise,
} from "@tonodrome/core/start-list";
import type { ClubLines } from "./clubLines";
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
  const { entries: numbered, faults } = readEntries(read.table, {
    ...reading,
    dates: dates ?? reading.dates,
  });
  // Running orders are the server's to keep.
  const entries = numbered.map((entry) => ({ ...entry, number: null }));
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
  return wrong.length > 0 ? { faults: wrong } : { news, club: changedClub(club, news) };
}

/** The club with what a list changes. */
function changedClub({ head, records }: ClubLines, news: readonly RowNews[]): ClubLines {
  const added = new Map<string, ClubRecord & { record: "athlete" }>();
  for (const row of news)
    if (row.state === "new-athlete" && !added.has(nameKey(row.athlete)))
      added.set(nameKey(row.athlete), {
        record: "athlete",
        id: randomUUID(),
        version: 1,
        name: row.athlete,
        profile: noProfile(),
      });
  const fresh = news.flatMap((row): ClubRecord[] => {
    if (row.state === "new") return [newStart(row.start)];
    if (row.state !== "new-athlete") return [];
    return [newStart({ athleteId: added.get(nameKey(row.athlete))?.id ?? "", ...row.start })];
  });
  const changed = new Map(
    news.flatMap((row) => (row.state === "changed" ? [[row.id, row.start] as const] : [])),
  );
  const kept = records.map((record): ClubRecord => {
    const start = record.record === "start" ? changed.get(record.id) : undefined;
    if (record.record !== "start" || !start) return record;
    const { number: _, ...fields } = start;
    return { ...record, ...fields, version: record.version + 1 };
  });
  // Nothing names what comes later: athletes first, starts after what they are of.
  const firstLate = kept.findIndex((r) => ["day", "run", "presses"].includes(r.record));
  const at = firstLate < 0 ? kept.length : firstLate;
  return { head, records: [...added.values(), ...kept.slice(0, at), ...fresh, ...kept.slice(at)] };
}

function newStart({ number: _, ...start }: ListedStart): ClubRecord {
  return {
    record: "start",
    id: randomUUID(),
    version: 1,
    ...start,
    setting: usualSetting(),
    plan: { id: randomUUID(), version: 1, body: emptyPlan() },
  };
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
