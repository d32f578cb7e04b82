import { parse } from "csv-parse/sync";
import fc from "fast-check";
import { csvTable } from "../../src/formats/csvTable";
import { csvText } from "../../src/formats/csvText";
import { cases } from "../made/cases";

/** Text as a person may type it into one line, with what is special to a spreadsheet among it. */
const cell = fc
  .string({ unit: fc.constantFrom("a", "é", "北", "0", "=", "+", "-", "@", "'", '"', ",", ";", " ", "\t") })
  .map((text) => text.trim());
const table = fc
  .integer({ min: 1, max: 5 })
  .chain((width) => fc.array(fc.array(cell, { minLength: width, maxLength: width }), { maxLength: 8 }));

it("what is written is read again, whatever is in it", () => {
  fc.assert(
    fc.property(table, (rows) => {
      const heads = (rows[0] ?? ["x"]).map((_, i) => `head ${i}`);
      const read = csvTable(csvText(heads, rows));
      if (!("table" in read)) throw new Error(JSON.stringify(read));
      expect(read.table.heads).toEqual(heads);
      // An empty line is no row.
      expect(read.table.rows.map((row) => row.cells)).toEqual(
        rows.filter((row) => row.some((c) => c !== "")),
      );
    }),
    cases(300),
  );
});

it("another library reads the same, and no cell of it is a formula to a spreadsheet", () => {
  fc.assert(
    fc.property(table, (rows) => {
      const heads = (rows[0] ?? ["x"]).map((_, i) => `head ${i}`);
      const read = parse(csvText(heads, rows), { bom: true }) as string[][];
      for (const line of read) for (const text of line) expect(text).not.toMatch(/^[=+\-@\t\r]/);
      const plain = read.slice(1).map((line) => line.map((c) => (/^'+[=+\-@\t\r]/.test(c) ? c.slice(1) : c)));
      expect(plain).toEqual(rows);
    }),
    cases(300),
  );
});

it("lines end as RFC 4180 has them, and what has a comma or a quote stands in quotes", () => {
  expect(csvText(["Name", "Note"], [["A, B", 'say "go"']])).toBe('Name,Note\r\n"A, B","say ""go"""\r\n');
});

it("a name that is a formula is made text", () => {
  expect(csvText(["Name"], [["=HYPERLINK(1)"]])).toBe('Name\r\n"\'=HYPERLINK(1)"\r\n');
});

it.each([
  ["commas", "A,B\n1,2"],
  ["semicolons", "A;B\n1;2"],
  ["tabs", "A\tB\n1\t2"],
  ["a byte-order mark and CRLF", "\ufeffA,B\r\n1,2\r\n"],
  ["empty lines", "\n\nA,B\n\n1,2\n\n"],
])("reads %s", (_, text) => {
  const read = csvTable(text);
  expect("table" in read && [read.table.heads, read.table.rows.map((r) => r.cells)]).toEqual([
    ["A", "B"],
    [["1", "2"]],
  ]);
});

it("knows the line of a row after cells of several lines", () => {
  const read = csvTable('A,B\n"one\ntwo",2\n3,4\n');
  expect("table" in read && read.table.rows.map((r) => r.line)).toEqual([2, 4]);
});

it.each([
  ["a quote that is never closed", 'A,B\n1,2\n"3,4\n', 3],
  ["a quote in the middle of a quoted value", 'A,B\n"1"x,2\n', 2],
  ["more values than heads", "A,B\n1,2\n1,2,3\n", 3],
  ["nothing at all", "", 1],
])("names the line of %s", (_, text, line) => {
  const read = csvTable(text);
  expect("faults" in read && read.faults.map((f) => f.line)).toEqual([line]);
});

it("refuses what is too long, or has too many rows or columns, before anything else", () => {
  const long = csvTable(`A,B\n${"1,2\n".repeat(3_000_000)}`);
  expect("faults" in long && long.faults[0]?.message).toMatch(/4 million/);
  const many = csvTable(`A\n${"1\n".repeat(2_001)}`);
  expect("faults" in many && many.faults).toEqual([
    { line: 2_002, column: null, message: expect.stringContaining("2000") },
  ]);
  expect("faults" in csvTable(`${"A,".repeat(61)}A\n`)).toBe(true);
});
