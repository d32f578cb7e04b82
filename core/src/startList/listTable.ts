/** A start list as a file has it: heads, and rows of cells that nobody has read yet. */
export interface ListTable {
  kind: "csv" | "calendar";
  heads: string[];
  rows: ListTableRow[];
}

/** One row, and where it begins in the file. */
export interface ListTableRow {
  /** From 1. */
  line: number;
  cells: string[];
}

/** What is wrong with a row, and in which column. */
export interface ListFault {
  /** The line of the file, from 1. */
  line: number;
  /** The head of the column; null where it is the row as a whole. */
  column: string | null;
  message: string;
}

/** A table, or what keeps the file from being one. */
export type TableRead = { table: ListTable } | { faults: ListFault[] };

/** Most rows of a list that are taken together. Custom: the largest field of a long day, several times. */
export const MOST_ROWS = 2_000;

/** Most characters of a list's file, and most columns. Custom. */
export const LONGEST_LIST = 4_000_000;
export const MOST_COLUMNS = 60;

/** Why a file of so many characters is not read; null where it is. */
export function tooLongFor(characters: number): ListFault | null {
  if (characters <= LONGEST_LIST) return null;
  const most = `${LONGEST_LIST / 1_000_000} million`;
  return { line: 1, column: null, message: `The file is too long: at most ${most} characters.` };
}

/** Why so many rows are not taken; null where they are. */
export function tooManyRows(rows: readonly ListTableRow[]): ListFault | null {
  const first = rows[MOST_ROWS];
  return first
    ? { line: first.line, column: null, message: `At most ${MOST_ROWS} rows: divide the file.` }
    : null;
}
