import { pathText } from "@tonodrome/core";
import { CLUB_TABLES } from "./clubTable";
import { EXPORT_FORMATS, exportFile } from "./exportFile";
import type { Options, Terminal } from "./terminal";

const PAPERS = ["a4", "pocket"] as const;

/** Writes a file in another form. @returns the exit code */
export async function exportCommand(
  text: string,
  options: Options,
  { stdout, stderr }: Terminal,
): Promise<number> {
  const refuse = (line: string) => {
    stderr.write(`${line}\n`);
    return 2;
  };
  const as = EXPORT_FORMATS.find((format) => format === options.as);
  if (!as) return refuse(`Give export --as one of: ${EXPORT_FORMATS.join(", ")}.`);
  const paper = PAPERS.find((one) => one === (options.paper ?? "a4"));
  if (!paper) return refuse(`Give --paper one of: ${PAPERS.join(", ")}.`);
  const of = CLUB_TABLES.find((table) => table === options.of) ?? null;
  if (options.of !== undefined && !of) return refuse(`Give --of one of: ${CLUB_TABLES.join(", ")}.`);
  const answer = await exportFile(text, { as, paper, of, madeAt: new Date().toISOString() });
  if ("faults" in answer)
    return refuse(answer.faults.map((f) => `${pathText(f.path) || "(the file)"}: ${f.message}`).join("\n"));
  if ("why" in answer) {
    stderr.write(`${answer.why}\n`);
    return 1;
  }
  stdout.write(answer.made);
  return 0;
}
