import { formatLength } from "@tonodrome/core";
import type { RunRow } from "@tonodrome/core/api";
import { clockTime, dayName } from "~/ui/dates";

/** What the log's list says of a run. */
export interface RunRowWords {
  when: string;
  what: string;
  done: string;
  real: string;
  /** Against what was planned. */
  against: string;
}

/** A run in the words of a list. @param now milliseconds since the epoch */
export function runRowWords(row: RunRow, now: number): RunRowWords {
  const at = row.beganAt ?? row.startsAt;
  const off = row.realSeconds - row.plannedSeconds;
  return {
    when: `${dayName(at, row.zone, now)} ${clockTime(at, row.zone)}`,
    what: row.kind === "cool-down" ? `Cool-down, ${row.title}` : row.title,
    done: `${row.done} of ${row.drills} done${row.skipped > 0 ? `, ${row.skipped} skipped` : ""}${row.endedAt ? "" : ", not ended"}`,
    real: formatLength(row.realSeconds),
    against: off === 0 ? "as planned" : `${formatLength(Math.abs(off))} ${off > 0 ? "over" : "under"}`,
  };
}
