import Papa from "papaparse";
import {
  type ListFault,
  type ListTableRow,
  MOST_COLUMNS,
  MOST_ROWS,
  type TableRead,
  tooLongFor,
  tooManyRows,
} from "../startList/listTable";
import { plainCell } from "./csvText";

/** What may stand between two cells. */
const DELIMITERS = [",", ";", "\t"];

/**
 * Reads a list of comma-separated values (RFC 4180), or of those with semicolons or tabs: the first row that has
 * something in it has the heads. By a library, which unquotes.
 */
export function csvTable(text: string): TableRead {
  const tooLong = tooLongFor(text.length);
  if (tooLong) return { faults: [tooLong] };
  const faults: ListFault[] = [];
  const rows: ListTableRow[] = [];
  const lineAt = lineCounter(text);
  let at = 0;
  Papa.parse<string[]>(text, {
    delimiter: delimiterOf(text),
    step: ({ data, errors, meta }, parser) => {
      const line = lineAt(at);
      at = meta.cursor;
      const cells = data.map(plainCell);
      if (cells.every((cell) => cell === "")) return;
      const quotes = errors.find((error) => error.type === "Quotes");
      if (quotes) faults.push({ line, column: null, message: QUOTES[quotes.code] ?? quotes.message });
      rows.push({ line, cells });
      if (rows.length > MOST_ROWS + 1) parser.abort();
    },
  });
  const [head, ...body] = rows;
  if (!head) return { faults: [{ line: 1, column: null, message: "There is nothing in the file." }] };
  const heads = head.cells;
  if (heads.length > MOST_COLUMNS)
    return { faults: [{ line: head.line, column: null, message: `At most ${MOST_COLUMNS} columns.` }] };
  for (const { line, cells } of body) {
    const more = cells.findLastIndex((cell) => cell !== "") + 1;
    if (more > heads.length) faults.push({ line, column: null, message: moreThanHeads(more, heads.length) });
  }
  const tooMany = tooManyRows(body);
  if (tooMany) faults.push(tooMany);
  if (faults.length > 0) return { faults };
  return { table: { kind: "csv", heads, rows: body } };
}

/** That of them which makes the most of the first row. */
function delimiterOf(text: string): string {
  const heads = (delimiter: string) =>
    Papa.parse<string[]>(text, { delimiter, preview: 1, skipEmptyLines: "greedy" }).data[0]?.length ?? 0;
  return DELIMITERS.reduce((best, next) => (heads(next) > heads(best) ? next : best));
}

const QUOTES: Record<string, string> = {
  MissingQuotes: "A quote is opened here and never closed.",
  InvalidQuotes: "After a closing quote more follows: a quote inside a value is written twice.",
};

const moreThanHeads = (cells: number, heads: number) =>
  `There are ${cells} values and ${heads} heads: a value with a comma in it stands in quotes.`;

/** Says on which line a character is, asked from the front to the back. */
function lineCounter(text: string): (at: number) => number {
  const breaks = /\r\n|\r|\n/g;
  let line = 1;
  let next = breaks.exec(text);
  return (at) => {
    while (next && next.index < at) {
      line++;
      next = breaks.exec(text);
    }
    return line;
  };
}
