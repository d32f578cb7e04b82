import { conditionsOf, fitPlan } from "@tonodrome/core";
import { dayCalendar } from "@tonodrome/core/calendar";
import {
  contradictionWords,
  type DayFile,
  dayFileText,
  dayPlan,
  readDayFile,
  stepsOfFile,
} from "@tonodrome/core/day";
import { type FitFile, readFitFile } from "@tonodrome/core/fitting";
import { readRunFile, runFileText, runInTableOf } from "@tonodrome/core/run-file";
import { type PrintedSheet, printedSheet, type SheetPaper } from "@tonodrome/core/sheet";
import { logCsv, stepsCsv, withoutMark } from "@tonodrome/core/tables";
import { isClubFile } from "./clubLines";
import { type ClubTable, clubTableText } from "./clubTable";
import type { Exported } from "./exported";
import { pdfOf } from "./pdf";

/** What a file can be written as. */
export const EXPORT_FORMATS = ["ics", "csv", "pdf", "json"] as const;
export type ExportFormat = (typeof EXPORT_FORMATS)[number];

/** How it is to be written, besides its form. */
export interface ExportOptions {
  as: ExportFormat;
  paper: SheetPaper;
  /** Which table of a club; null where none was named. */
  of: ClubTable | null;
  /** ISO 8601. */
  madeAt: string;
}

/** Which of two files of a start without an id is which, a calendar cannot tell. */
const NO_ID = "00000000-0000-4000-8000-000000000000";

/** Writes a day, a warm-up or a club in another form. */
export async function exportFile(text: string, options: ExportOptions): Promise<Exported> {
  if (isClubFile(text)) {
    if (options.as !== "csv" || options.of === null)
      return { why: "A club is written with --as csv and --of shelf, starts or log." };
    return clubTableText(text, options.of);
  }
  const format = formatOf(text);
  if (format === "tonodrome-run") return exportRun(text, options.as);
  if (format === "tonodrome-fit") {
    const read = readFitFile(text);
    if ("faults" in read) return read;
    if (options.as === "pdf") return { made: await pdfOf(fitSheet(read.file), options.paper) };
    if (options.as === "json") return { made: `${JSON.stringify(read.file, null, 2)}\n` };
    return { why: "A warm-up without its start's time is written with --as pdf or json." };
  }
  const read = readDayFile(text);
  return "faults" in read ? read : exportDay(read.file, options);
}

/** What a file of JSON says that it is; undefined where it is none, which whoever reads it says better. */
function formatOf(text: string): unknown {
  try {
    return (JSON.parse(withoutMark(text)) as { format?: unknown } | null)?.format;
  } catch {
    return undefined;
  }
}

function exportRun(text: string, as: ExportFormat): Exported {
  const read = readRunFile(text);
  if ("faults" in read) return read;
  const { format: _, version: __, ...run } = read.file;
  if (as === "json") return { made: runFileText(run) };
  if (as === "csv") return { made: logCsv([runInTableOf(run)]) };
  return { why: "A run is written with --as csv or json." };
}

async function exportDay(file: DayFile, { as, paper, madeAt }: ExportOptions): Promise<Exported> {
  const steps = [...stepsOfFile(file)];
  if (as === "json") {
    const { format: _, version: __, ...day } = file;
    return { made: dayFileText({ ...day, steps }) };
  }
  const { startsAt, zone, warmUpSeconds, id = NO_ID, title = "Start", venue = "" } = file;
  const day = { startsAt, zone, warmUpSeconds, steps };
  const plan = dayPlan(day, "usual");
  if (!plan.holds) return { why: contradictionWords(day, plan.contradiction, "usual") };
  if (as === "ics") return { made: dayCalendar({ ...day, id, title, venue, sequence: 0, madeAt }) ?? "" };
  const sheet = printedSheet({ athlete: title, title: "", venue, frame: day, fit: null, conditions: null });
  return { made: as === "csv" ? stepsCsv(sheet.steps) : await pdfOf(sheet, paper) };
}

/** A warm-up alone: its clock is the time before the start, which a file of a plan does not know. */
function fitSheet(file: FitFile): PrintedSheet {
  const { plan, context, availableSeconds } = file;
  const frame = {
    startsAt: `${file.day ?? "2000-01-01"}T12:00:00.000Z`,
    zone: "UTC",
    warmUpSeconds: 0,
    steps: [],
  };
  const sheet = printedSheet({
    athlete: "Warm-up",
    title: file.event?.name ?? "",
    venue: "",
    frame,
    fit: fitPlan(plan, availableSeconds, context),
    conditions: conditionsOf(file.setting),
  });
  return {
    ...sheet,
    date: file.day ?? "",
    start: "0:00",
    zone: "before the start",
    begins: null,
    drills: sheet.drills.map((drill) => ({ ...drill, clock: "" })),
  };
}
