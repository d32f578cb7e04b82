import type { Fault } from "@tonodrome/core";
import { type ClubHead, type ClubRecord, clubHeadSchema, clubRecordSchema } from "@tonodrome/core/api";

/** A club's file as it was read. */
export interface ClubLines {
  head: ClubHead;
  /** Without its end. */
  records: ClubRecord[];
}

/** Whether a text begins as a club's file does. */
export const isClubFile = (text: string) => /^\ufeff?\s*\{[^\n]*"tonodrome-club"/.test(text);

/** Reads a club's file: all of it, or the first line at fault. */
export function readClubLines(text: string): { club: ClubLines } | { faults: Fault[] } {
  const lines = text.split("\n").flatMap((line, i) => (line.trim() === "" ? [] : [{ line, number: i + 1 }]));
  let head: ClubHead | null = null;
  const records: ClubRecord[] = [];
  let isWhole = false;
  for (const { line, number } of lines) {
    const at = (message: string, path: readonly PropertyKey[] = []) => ({
      faults: [{ path: ["lines", number, ...path.map(String)], message }],
    });
    if (isWhole) return at("There is more after the end.");
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      return at("This line is not JSON.");
    }
    const read = (head ? clubRecordSchema : clubHeadSchema).safeParse(value);
    if (!read.success) {
      const [issue] = read.error.issues;
      return at(issue?.message ?? "This is not a record.", issue?.path);
    }
    if (!head) head = read.data as ClubHead;
    else if ((read.data as ClubRecord).record !== "end") records.push(read.data as ClubRecord);
    else {
      const end = read.data as Extract<ClubRecord, { record: "end" }>;
      if (end.records !== records.length)
        return at(`The file should have ${end.records} records and has ${records.length}.`);
      isWhole = true;
    }
  }
  if (!head || !isWhole)
    return { faults: [{ path: [], message: "The file was cut short: its end is missing." }] };
  return { club: { head, records } };
}

/** A club's file as it is written. */
export function clubText({ head, records }: ClubLines): string {
  const lines = [head, ...records, { record: "end", records: records.length }];
  return lines.map((line) => `${JSON.stringify(line)}\n`).join("");
}
