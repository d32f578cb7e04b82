import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { LONGEST_DAY, pathText } from "@tonodrome/core";
import { checkPlan, type FitFile, readFitFile } from "@tonodrome/core/fitting";
import { fitAnswer, fitOf, fitTableText } from "./fitAnswer";

const HELP = `tonodrome fit FILE|-     fits a plan to its day and prints it
tonodrome check FILE|-   names what is wrong with a plan, as far as there are rules

  --seconds N   the time available, instead of the file's
  --table       a table to be read, instead of JSON

FILE is JSON in the format of docs/schema/fit.schema.json; - reads standard input.
Ends with 0 when it fits, 1 when it does not (the best reduced plan is printed), 2 for bad input.
`;

/** What of the process the commands use. */
export interface Terminal {
  stdout: { write: (text: string) => unknown };
  stderr: { write: (text: string) => unknown };
}

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
  if (command !== "fit" && command !== "check") return refuse([`There is no command “${command}”.`, HELP]);
  if (from === undefined || more.length > 0)
    return refuse([`Give one file to ${command}, or - for standard input.`, HELP]);
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
  const read = readFitFile(text);
  if ("faults" in read)
    return refuse(read.faults.map((f) => `${pathText(f.path) || "(the file)"}: ${f.message}`));
  const { file } = read;
  if (values.seconds !== undefined) {
    const seconds = Number(values.seconds);
    if (!/^\d+$/.test(values.seconds) || seconds > LONGEST_DAY)
      return refuse([
        `--seconds: “${values.seconds}” is not a whole number of seconds from 0 to ${LONGEST_DAY}.`,
      ]);
    file.availableSeconds = seconds;
  }
  return command === "fit" ? fit(file, values.table ?? false, stdout) : check(file, stdout);
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
      help: { type: "boolean", short: "h" },
    },
  });
}

function fit(file: FitFile, table: boolean, stdout: Terminal["stdout"]): number {
  const answer = fitAnswer(file);
  stdout.write(`${table ? fitTableText(answer) : JSON.stringify(answer, null, 2)}\n`);
  return answer.fits ? 0 : 1;
}

/** Says what there is to say against a plan, gravest first. */
function check(file: FitFile, stdout: Terminal["stdout"]): number {
  const { fit: fitted, explanation } = fitOf(file);
  const findings = checkPlan(file.plan, fitted, explanation);
  const lines = findings.map(({ severity, where, words }) => `${severity}: ${pathText(where)}: ${words}`);
  stdout.write(lines.length > 0 ? `${lines.join("\n")}\n` : "Nothing to say against it.\n");
  return lines.length > 0 ? 1 : 0;
}
