import { parse } from "csv-parse/sync";
import fc from "fast-check";
import { csvTable } from "../../src/formats/csvTable";
import { logCsv } from "../../src/formats/logTable";
import { readShelfCsv, shelfCsv } from "../../src/formats/shelfTable";
import { type StartInTable, startsCsv } from "../../src/formats/startsTable";
import { recognise } from "../../src/startList/columns";
import { compareList } from "../../src/startList/compareList";
import { readEntries } from "../../src/startList/entry";
import { cases } from "../made/cases";
import { SPORTS } from "../sign/starters";

const shelves = SPORTS.map(({ key, shelf }) => [key, shelf.map(({ id: _, ...drill }) => drill)] as const);

describe("the shelf", () => {
  it.each(shelves)("of %s reads back as it was written", (_, drills) => {
    const text = shelfCsv(drills);
    expect(readShelfCsv(text)).toEqual({ drills });
    // Another library reads the same names and lines.
    const other = parse(text, { columns: true }) as Record<string, string>[];
    expect(other.map((row) => row.Name)).toEqual(drills.map((drill) => drill.name));
  });

  const [, some] = shelves[0] as (typeof shelves)[number];
  const text = shelfCsv(some.slice(0, 3));
  it.each([
    ["Phase", (row: string[]) => (row[1] = "Warming")],
    ["Intensity", (row: string[]) => (row[3] = "many")],
    ["Dose", (row: string[]) => (row[6] = "3 x 5")],
    ["Dose", (row: string[]) => (row[6] = '{"kind":"time"}')],
    ["Details", (row: string[]) => (row[7] = "[]")],
    ["Name", (row: string[]) => (row[0] = "")],
  ])("with a fault in %s names its line and that column", (column, spoil) => {
    const rows = parse(text) as string[][];
    spoil(rows[2] as string[]);
    const spoilt = rows.map((row) => row.map((c) => `"${c.replaceAll('"', '""')}"`).join(",")).join("\r\n");
    const read = readShelfCsv(spoilt);
    if (!("faults" in read)) throw new Error("It was taken.");
    expect(read.faults.map((f) => [f.line, f.column])).toContainEqual([3, column]);
  });

  it("without a column says which", () => {
    expect(readShelfCsv("Name,Phase\nHops,Raise\n")).toMatchObject({
      faults: expect.arrayContaining([{ line: 1, column: "Dose", message: expect.any(String) }]),
    });
  });
});

describe("starts", () => {
  it("read back as a list that changes nothing, whatever they are called and whenever they are", () => {
    const words = fc.constantFrom("Mira Lind", "=Ola", "Una, Falk", 'The "Fox"', "北京 Li");
    const start = fc.record({
      athlete: words,
      title: fc.constantFrom("Final", "-Heat", "Free; short"),
      venue: fc.constantFrom("", "Hall, door 2", "+Rink"),
      zone: fc.constantFrom("Europe/Vienna", "America/New_York", "UTC"),
      // Both nights in which clocks change among them.
      hour: fc.integer({ min: 0, max: 9_000 }),
      number: fc.option(fc.integer({ min: 1, max: 99 }), { nil: null }),
    });
    fc.assert(
      fc.property(fc.uniqueArray(start, { maxLength: 8, selector: (s) => s.hour }), (list) => {
        const starts = list.map(({ hour, ...s }): StartInTable => {
          const listedAt = new Date(Date.UTC(2026, 0, 1, hour, 30)).toISOString();
          return { ...s, listedAt, startsAt: listedAt };
        });
        const read = csvTable(startsCsv(starts));
        if (!("table" in read)) throw new Error(JSON.stringify(read));
        const reading = recognise(read.table, { title: "", venue: "", date: "", zone: "UTC" });
        const { entries, faults } = readEntries(read.table, reading);
        expect(faults).toEqual([]);
        const athletes = [...new Set(starts.map((s) => s.athlete))].map((name) => ({ id: name, name }));
        const known = starts.map((s, i) => ({
          ...s,
          id: String(i),
          athleteId: s.athlete,
          readyAt: s.listedAt,
          eventId: null,
        }));
        const news = compareList(entries, { athletes, events: [], starts: known }, false);
        expect(news.map((row) => row.state)).toEqual(starts.map(() => "same"));
      }),
      cases(200),
    );
  });
});

it("the log has a run a row, at the venue's clock", () => {
  const text = logCsv([
    {
      kind: "warm-up",
      athlete: "Mira",
      title: "=Final",
      venue: "Hall",
      zone: "Europe/Vienna",
      startsAt: "2026-12-05T13:00:00.000Z",
      beganAt: "2026-12-05T12:20:00.000Z",
      endedAt: null,
      drills: 9,
      done: 8,
      skipped: 1,
      plannedSeconds: 1925,
      realSeconds: 2000,
    },
  ]);
  expect(parse(text, { columns: true })).toEqual([
    {
      Day: "2026-12-05",
      Athlete: "Mira",
      Event: "'=Final",
      Venue: "Hall",
      "Time zone": "Europe/Vienna",
      Kind: "warm-up",
      Start: "14:00",
      Began: "13:20",
      Ended: "",
      Drills: "9",
      Done: "8",
      Skipped: "1",
      Planned: "32:05",
      Taken: "33:20",
    },
  ]);
});
