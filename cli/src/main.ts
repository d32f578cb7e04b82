import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { type Fault, LONGEST_DAY, pathText } from "@tonodrome/core";
import { type DayFile, readDayFile } from "@tonodrome/core/day";
import { type FitFile, readFitFile } from "@tonodrome/core/fitting";
import { CHECKS, checkAnswer, fixedFile, forecastAnswer } from "@tonodrome/core/judge-answers";
import { dayAnswer, dayTableText } from "./dayAnswer";
import { exportCommand } from "./exportCommand";
import { fitAnswer, fitTableText } from "./fitAnswer";
import { importCommand } from "./importCommand";
import { checkTableText, forecastTableText } from "./judgeTables";
import type { Terminal } from "./terminal";

const HELP = `tonodrome fit FILE|-        fits a plan to its day and prints it
tonodrome forecast FILE|-   says what state they will be in at the start, and if it slips
tonodrome check FILE|-      names what there is to say against a plan, gravest first
tonodrome day FILE|-        counts a whole day back from its start, as usual and if it goes badly
tonodrome export FILE|-     writes a day, a plan, a run or a club in another form, given with --as
tonodrome import FILE|-     says what a start list (CSV, iCalendar) would change in the club's file given with --into

  --seconds N   the time available, instead of the file's
  --table       a table to be read, instead of JSON
  --fix CODE    (check) prints the file with every finding of this code mended that can be
  --as FORM     (export) ics, csv, pdf or json: of a day all of them, of a plan pdf and json, of a run csv and json,
                of a club csv
  --paper PAPER (export) a4, or pocket: a card that is folded once
  --of TABLE    (export) of a club: shelf, starts or log
  --into CLUB   (import) the club's file
  --apply       (import) writes what would change into the club's file; without it nothing is written
  --add         (import) those who are not in the club come into it
  --zone ZONE --date DAY --event NAME --venue NAME
                (import) said of rows that do not say it themselves
  --dates ORDER (import) how dates are written: year-first, day-first or month-first; asked for where it cannot be told

FILE is JSON in the format of docs/schema/fit.schema.json or of docs/schema/day.schema.json, to export also a run or a club's
export, to import a start list; - reads standard input.
fit ends with 0 when it fits, 1 when it does not (the best reduced plan is printed); forecast with 0 when they will be
warm, 1 when not; check with 0 when there is nothing to stop or warn of, 1 when there is; day with 0 when everything holds together in
both, 1 when not; export with 0, or 1 where the day cannot hold together; import with 0, or 1 where it would change something and was
not applied; 2 is bad input.
`;

/** Options that one command alone has. */
const ONLY_OF = {
  fix: "check",
  as: "export",
  paper: "export",
  of: "export",
  into: "import",
  apply: "import",
  add: "import",
  zone: "import",
  date: "import",
  event: "import",
  venue: "import",
  dates: "import",
};

const COMMANDS = ["fit", "forecast", "check", "day", "export", "import"];

/** Runs a command. @returns the exit code */
export async function main(args: string[], { stdout, stderr }: Terminal): Promise<number> {
  const refuse = (lines: string[]) => {
    stderr.write(`${lines.join("\n")}\n`);
    return 2;
  };
  let parsed: ReturnType<typeof parse>;
  try {
    parsed = parse(args);
  } catch (error) {
    return refuse([(error as Error).message, HELP]);
  }
  const { values, positionals } = parsed;
  const [command, from, ...more] = positionals;
  if (values.help || command === undefined || command === "help") {
    stdout.write(HELP);
    return values.help || command ? 0 : 2;
  }
  if (!COMMANDS.includes(command)) return refuse([`There is no command “${command}”.`, HELP]);
  if (from === undefined || more.length > 0)
    return refuse([`Give one file to ${command}, or - for standard input.`, HELP]);
  for (const [option, of] of Object.entries(ONLY_OF))
    if (values[option as keyof typeof values] !== undefined && of !== command)
      return refuse([`--${option} is for ${of}.`]);
  const code = values.fix;
  if (code !== undefined && !CHECKS.some((c) => c.code === code))
    return refuse([`There is no check “${code}”. There are: ${CHECKS.map((c) => c.code).join(", ")}.`]);
  let bytes: Buffer;
  try {
    bytes = readFileSync(from === "-" ? 0 : from);
  } catch (error) {
    return refuse([`${from} cannot be read: ${(error as Error).message}`]);
  }
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return refuse([`${from === "-" ? "What was given" : from} is not UTF-8: save it in that encoding.`]);
  }
  const faulty = (faults: readonly Fault[]) =>
    refuse(faults.map((f) => `${pathText(f.path) || "(the file)"}: ${f.message}`));
  if (command !== "fit" && command !== "forecast" && command !== "check" && values.seconds !== undefined)
    return refuse([`--seconds is not for ${command}.`]);
  if (command === "export") return exportCommand(text, values, { stdout, stderr });
  if (command === "import") return importCommand(text, values, { stdout, stderr });
  if (command === "day") {
    const read = readDayFile(text);
    return "faults" in read ? faulty(read.faults) : day(read.file, values.table ?? false, stdout);
  }
  const read = readFitFile(text);
  if ("faults" in read) return faulty(read.faults);
  const { file } = read;
  if (values.seconds !== undefined) {
    const seconds = Number(values.seconds);
    if (!/^\d+$/.test(values.seconds) || seconds > LONGEST_DAY)
      return refuse([
        `--seconds: “${values.seconds}” is not a whole number of seconds from 0 to ${LONGEST_DAY}.`,
      ]);
    file.availableSeconds = seconds;
  }
  const table = values.table ?? false;
  if (command === "fit") return fit(file, table, stdout);
  if (command === "forecast") return forecast(file, table, stdout);
  if (code === undefined) return check(file, table, stdout);
  const fixed = fixedFile(file, code);
  if (!fixed) return refuse([`Nothing of “${code}” is found here that can be mended.`]);
  stdout.write(`${JSON.stringify(fixed, null, 2)}\n`);
  return 0;
}

function parse(args: string[]) {
  // "--seconds -5" means a number, though it looks like another option.
  const joined = args.flatMap((arg, i) => {
    if (args[i - 1] === "--seconds") return [];
    return arg === "--seconds" && i + 1 < args.length ? [`--seconds=${args[i + 1]}`] : [arg];
  });
  return parseArgs({
    args: joined,
    allowPositionals: true,
    options: {
      seconds: { type: "string" },
      table: { type: "boolean" },
      fix: { type: "string" },
      as: { type: "string" },
      paper: { type: "string" },
      of: { type: "string" },
      into: { type: "string" },
      apply: { type: "boolean" },
      add: { type: "boolean" },
      zone: { type: "string" },
      date: { type: "string" },
      event: { type: "string" },
      venue: { type: "string" },
      dates: { type: "string" },
      help: { type: "boolean", short: "h" },
    },
  });
}

function fit(file: FitFile, table: boolean, stdout: Terminal["stdout"]): number {
  const answer = fitAnswer(file);
  stdout.write(`${table ? fitTableText(answer) : JSON.stringify(answer, null, 2)}\n`);
  return answer.fits ? 0 : 1;
}

/** Says what state they will be in. */
function forecast(file: FitFile, table: boolean, stdout: Terminal["stdout"]): number {
  const answer = forecastAnswer(file);
  stdout.write(`${table ? forecastTableText(answer) : JSON.stringify(answer, null, 2)}\n`);
  return answer.atStart.warmth.word === "warm" ? 0 : 1;
}

/** Counts a day back from its start. */
function day(file: DayFile, table: boolean, stdout: Terminal["stdout"]): number {
  const answer = dayAnswer(file);
  stdout.write(`${table ? dayTableText(answer) : JSON.stringify(answer, null, 2)}\n`);
  return answer.versions.every((v) => v.holds) ? 0 : 1;
}

/** Says what there is to say against a plan, gravest first. */
function check(file: FitFile, table: boolean, stdout: Terminal["stdout"]): number {
  const findings = checkAnswer(file);
  stdout.write(`${table ? checkTableText(findings) : JSON.stringify(findings, null, 2)}\n`);
  return findings.some((f) => f.severity !== "hint") ? 1 : 0;
}
