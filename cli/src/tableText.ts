import stringWidth from "string-width";

/**
 * Rows of cells as lines to be read, each column as wide as its widest cell.
 * @param right how many of the first columns stand to the right, as numbers do
 */
export function tableText(rows: readonly (readonly string[])[], right = 0): string[] {
  const many = Math.max(0, ...rows.map((r) => r.length));
  const widths = Array.from({ length: many }, (_, c) =>
    Math.max(...rows.map((r) => stringWidth(r[c] ?? ""))),
  );
  const blanks = (cell: string, c: number) => " ".repeat((widths[c] ?? 0) - stringWidth(cell));
  return rows.map((r) =>
    r
      .map((cell, c) => (c < right ? blanks(cell, c) + cell : cell + blanks(cell, c)))
      .join("  ")
      .trimEnd(),
  );
}
