import Papa from "papaparse";

/*
 * What begins like a formula is one to a spreadsheet, which then does as it says: a name that somebody typed must not. Some
 * take the full-width forms of the signs for the same.
 * An apostrophe before it makes it text; one more where it has some already, so that it reads back as it was.
 */
const FORMULA = /^'*[=+\-@\t\r\uff1d\uff0b\uff0d\uff20]/;

/**
 * Comma-separated values (RFC 4180): heads, then rows, with CRLF. What a spreadsheet would take for a formula is made
 * text. By a library, which quotes.
 */
export function csvText(heads: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const cells = [heads, ...rows].map((row) => [...row]);
  return `${Papa.unparse(cells, { newline: "\r\n", escapeFormulae: FORMULA })}\r\n`;
}

/** A cell as it was before it was written, without what is around it. */
export function plainCell(cell: string): string {
  const text = cell.trim();
  return text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;
}
