import type { RunEvent } from "@tonodrome/core";
import { runInTableOf } from "@tonodrome/core/run-file";
import { logCsv, shelfCsv, startsCsv } from "@tonodrome/core/tables";
import { readClubLines } from "./clubLines";
import type { Exported } from "./exported";

/** Tables that a club can be written as. */
export const CLUB_TABLES = ["shelf", "starts", "log"] as const;
export type ClubTable = (typeof CLUB_TABLES)[number];

/** A club's table, from its file. */
export function clubTableText(text: string, table: ClubTable): Exported {
  const read = readClubLines(text);
  if ("faults" in read) return read;
  const { records } = read.club;
  const names = new Map(records.flatMap((r) => (r.record === "athlete" ? [[r.id, r.name] as const] : [])));
  if (table === "shelf") {
    const drills = records.flatMap((r) => (r.record === "drill" && !r.archived ? [r] : []));
    return { made: shelfCsv(drills.sort((a, b) => (a.name < b.name ? -1 : 1))) };
  }
  if (table === "starts") {
    const starts = records.flatMap((r) => (r.record === "start" ? [r] : []));
    const rows = starts.map((r) => ({
      athlete: names.get(r.athleteId) ?? "",
      title: r.title,
      venue: r.venue,
      zone: r.zone,
      startsAt: r.startsAt,
      listedAt: r.listedAt ?? r.startsAt,
      number: r.order?.number ?? null,
    }));
    return { made: startsCsv(rows.sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt))) };
  }
  const presses = new Map<string, RunEvent[]>();
  for (const r of records)
    if (r.record === "presses") presses.set(r.runId, [...(presses.get(r.runId) ?? []), ...r.events]);
  const runs = records.flatMap((r) => (r.record === "run" ? [r] : []));
  return {
    made: logCsv(
      runs
        .map(({ athleteName: athlete, title, venue, zone, startsAt, plan, id }) =>
          runInTableOf({ athlete, title, venue, zone, startsAt, plan, events: presses.get(id) ?? [] }),
        )
        .sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt)),
    ),
  };
}
