import { readFileSync, renameSync, writeFileSync } from "node:fs";
import { isTimeZone, pathText } from "@tonodrome/core";
import { DATE_ORDERS } from "@tonodrome/core/start-list";
import { clubText, readClubLines } from "./clubLines";
import { importList, newsText } from "./importList";
import type { Options, Terminal } from "./terminal";

const word = (option: string | boolean | undefined) => (typeof option === "string" ? option : "");

/** Says what a start list would change in a club's file, and changes it when that is asked for. @returns the exit code */
export function importCommand(text: string, options: Options, { stdout, stderr }: Terminal): number {
  const refuse = (lines: string[]) => {
    stderr.write(`${lines.join("\n")}\n`);
    return 2;
  };
  const into = word(options.into);
  if (!into) return refuse(["Give import --into the club's file."]);
  const zone = word(options.zone) || Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (!isTimeZone(zone)) return refuse([`--zone: “${zone}” is no time zone, like Europe/Vienna.`]);
  const date = word(options.date);
  if (date !== "" && !/^\d{4}-\d\d-\d\d$/.test(date))
    return refuse([`--date: “${date}” is not written like 2026-12-05.`]);
  const dates = DATE_ORDERS.find((order) => order === options.dates) ?? null;
  if (options.dates !== undefined && !dates)
    return refuse([`--dates: give one of ${DATE_ORDERS.join(", ")}.`]);
  let club: string;
  try {
    club = new TextDecoder("utf-8", { fatal: true }).decode(readFileSync(into));
  } catch (error) {
    return refuse([`${into} cannot be read: ${(error as Error).message}`]);
  }
  const read = readClubLines(club);
  if ("faults" in read) return refuse(read.faults.map((f) => `${into}: ${pathText(f.path)}: ${f.message}`));
  const always = { title: word(options.event), venue: word(options.venue), date, zone };
  const answer = importList(text, read.club, { always, addAthletes: options.add === true, dates });
  if ("faults" in answer)
    return refuse(
      answer.faults.map(
        ({ line, column, message }) => `line ${line}${column ? `, ${column}` : ""}: ${message}`,
      ),
    );
  stdout.write(`${newsText(answer.news)}\n`);
  const changes = answer.news.some((row) => row.state !== "same" && row.state !== "other");
  if (!changes) return 0;
  if (options.apply !== true) {
    stdout.write("Nothing was written. With --apply it is.\n");
    return 1;
  }
  // All of it or nothing: the file is replaced once the new one is there.
  writeFileSync(`${into}.new`, clubText(answer.club));
  renameSync(`${into}.new`, into);
  return 0;
}
