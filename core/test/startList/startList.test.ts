import fc from "fast-check";
import icalendar from "ical-generator";
import { calendarTable } from "../../src/formats/calendarTable";
import { csvTable } from "../../src/formats/csvTable";
import { readListTable } from "../../src/formats/readListTable";
import { areDatesOpen, recognise } from "../../src/startList/columns";
import { compareList, type KnownStart, nameKey } from "../../src/startList/compareList";
import { readsAs } from "../../src/startList/dates";
import { type ListEntry, readEntries } from "../../src/startList/entry";
import type { TableRead } from "../../src/startList/listTable";
import { cases } from "../made/cases";

const always = { title: "", venue: "", date: "", zone: "Europe/Vienna" };

function readList(read: TableRead, more: Partial<typeof always> = {}) {
  if (!("table" in read)) throw new Error(JSON.stringify(read));
  return readEntries(read.table, recognise(read.table, { ...always, ...more }));
}
const csv = (text: string, more: Partial<typeof always> = {}) => readList(csvTable(text), more);

describe("reading", () => {
  it("knows its columns by their heads, and writes down the venue's time", () => {
    const { entries, faults } = csv(
      "Nr.,Name,Category,Date,Start Time,Rink\n4,Mira Lind,Novice free,2026-12-05,14:05,Lakeside\n",
    );
    expect(faults).toEqual([]);
    expect(entries).toEqual([
      {
        line: 2,
        athlete: "Mira Lind",
        title: "Novice free",
        venue: "Lakeside",
        zone: "Europe/Vienna",
        startsAt: "2026-12-05T13:05:00.000Z",
        number: 4,
      },
    ]);
  });

  it("takes first and last names of two columns, and what holds for all rows", () => {
    const { entries } = csv("First name;Last name;Time\nMira;Lind;9:05\n", {
      title: "Final",
      date: "2026-12-05",
      venue: "Hall",
    });
    expect(entries).toMatchObject([
      {
        athlete: "Mira Lind",
        title: "Final",
        venue: "Hall",
        startsAt: "2026-12-05T08:05:00.000Z",
        number: null,
      },
    ]);
  });

  it("an instant says its own zone", () => {
    const { entries } = csv("Name,Event,Start\nA,B,2026-12-05T14:05:00+02:00\nA,B,2026-12-05T14:05Z\n");
    expect(entries.map((e) => e.startsAt)).toEqual(["2026-12-05T12:05:00.000Z", "2026-12-05T14:05:00.000Z"]);
  });

  it.each([
    ["no name", "Name,Event,Date,Time\n,Final,2026-12-05,10:00", "Name"],
    ["a day that is not in the calendar", "Name,Event,Date,Time\nA,Final,2026-02-30,10:00", "Date"],
    ["a year of two digits", "Name,Event,Date,Time\nA,Final,5.12.26,10:00", "Date"],
    ["a time past midnight", "Name,Event,Date,Time\nA,Final,2026-12-05,24:10", "Time"],
    ["afternoon in twelve hours", "Name,Event,Date,Time\nA,Final,2026-12-05,2:05 pm", "Time"],
    ["a time that the clocks leave out", "Name,Event,Date,Time\nA,Final,2027-03-28,02:30", "Time"],
    ["a zone that is none", "Name,Event,Date,Time,Zone\nA,Final,2026-12-05,10:00,Middle", "Zone"],
    ["a number that is none", "Name,Event,Date,Time,Nr\nA,Final,2026-12-05,10:00,4a", "Nr"],
    ["a number below one", "Name,Event,Date,Time,Nr\nA,Final,2026-12-05,10:00,0", "Nr"],
    ["a year out of range", "Name,Event,Date,Time\nA,Final,1926-12-05,10:00", "Date"],
    ["an instant that is none", "Name,Event,Start\nA,Final,2026-13-45T99:99Z", "Start"],
    ["no event", "Name,Date,Time\nA,2026-12-05,10:00", null],
  ])("names line and column of %s", (_, text, column) => {
    const { entries, faults } = csv(text);
    expect(entries).toEqual([]);
    expect(faults.map((f) => [f.line, f.column])).toContainEqual([2, column]);
  });

  it("tells the order of dates from all of them, and says when it cannot", () => {
    const table = (dates: string[]) => {
      const read = csvTable(`Name,Event,Date,Time\n${dates.map((d) => `A,B,${d},10:00`).join("\n")}\n`);
      if (!("table" in read)) throw new Error();
      const reading = recognise(read.table, always);
      return [reading.dates, areDatesOpen(read.table, reading)];
    };
    expect(table(["2026-12-05"])).toEqual(["year-first", false]);
    expect(table(["05.12.2026", "13.12.2026"])).toEqual(["day-first", false]);
    expect(table(["12/05/2026", "12/13/2026"])).toEqual(["month-first", false]);
    expect(table(["05/12/2026"])).toEqual([null, true]);
    // A slip in one row leaves the others as they are.
    expect(table(["05.12.2026", "13.12.2026", "14.13.2026"])).toEqual(["day-first", false]);
    expect(table(["soon"])).toEqual([null, true]);
  });

  it.each([
    ["two columns of one name", "Name,Event,Date,Time,name\nA,B,2026-12-05,10:00,C\n", /called “name”/, 1],
    ["no heads", "Mira Lind,Final,2026-12-05,14:05\nJon Aas,Final,2026-12-05,14:10\n", /first row/, 1],
    ["one row", "Mira Lind,Final\n", /one row only/, 1],
    ["UTF-16", [..."Name,Event\nA,B\n"].join("\0"), /UTF-16/, 1],
    ["a line behind a byte-order mark", "\ufeffName,Event\n\nA,B,C\n", /3 values and 2 heads/, 3],
  ])("%s is a fault in words, at its line", (_, text, message, line) => {
    const read = readListTable(text);
    expect(read).toMatchObject({ faults: [{ line, message: expect.stringMatching(message) }] });
  });

  it("a date that can be read in two ways is read in neither before somebody says which", () => {
    const read = readListTable("Name,Event,Date,Time\nA,B,05/06/2026,10:00\n");
    if (!("table" in read)) throw new Error();
    const reading = recognise(read.table, always);
    expect(readEntries(read.table, reading)).toMatchObject({
      entries: [],
      faults: [
        { line: 2, column: "Date", message: expect.stringContaining("the day or the month comes first") },
      ],
    });
    const { entries } = readEntries(read.table, { ...reading, dates: "month-first" });
    expect(entries[0]?.startsAt).toMatch(/^2026-05-06/);
  });

  it("a date is read in one way or not at all", () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date("2000-01-01"), max: new Date("2099-12-31"), noInvalidDate: true }),
        (date) => {
          const iso = date.toISOString().slice(0, 10);
          const [year, month, day] = iso.split("-");
          expect(readsAs(`${day}.${month}.${year}`, "day-first")).toBe(iso);
          expect(readsAs(`${month}/${day}/${year}`, "month-first")).toBe(iso);
          expect(readsAs(`${day}.${month}.${year}`, "year-first")).toBeNull();
        },
      ),
    );
  });

  it("any text at all is read or refused, never thrown at", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 200 }), (text) => {
        for (const read of [csvTable(text), csvTable(`Name,Event,Date,Time\n${text}`), calendarTable(text)])
          if ("table" in read) readEntries(read.table, recognise(read.table, always));
      }),
      cases(300),
    );
  });
});

describe("a calendar", () => {
  const made = (events: object[]) => {
    const calendar = icalendar({ name: "Cup" });
    for (const event of events) calendar.createEvent(event as never);
    return calendar.toString();
  };

  const written = (...lines: string[]) =>
    ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//x//y//EN", ...lines, "END:VCALENDAR", ""].join("\r\n");
  const event = (...lines: string[]) => ["BEGIN:VEVENT", "UID:1", "SUMMARY:Ada", ...lines, "END:VEVENT"];

  it.each([
    ["a start that was cancelled", event("DTSTART:20261205T130500Z", "STATUS:CANCELLED"), /was cancelled/],
    ["one of a series", event("DTSTART:20261205T130500Z", "RECURRENCE-ID:20261205T120000Z"), /repeats/],
    ["a month too many", event("DTSTART:20261345T993000Z"), /no day and time/],
    ["a day too many", event("DTSTART:20260230T103000Z"), /no day and time/],
    [
      "a zone that nobody knows",
      event("DTSTART;TZID=Middle Earth:20261205T193000"),
      /“Middle Earth” is no time zone/,
    ],
  ])("%s is no start, and that is said", (_, lines, message) => {
    expect(readListTable(written(...lines))).toMatchObject({
      faults: [{ line: 4, column: "Start", message: expect.stringMatching(message) }],
    });
  });

  it("that takes starts back is none to read, and two in one file are both read", () => {
    const one = event("DTSTART:20261205T130500Z");
    expect(readListTable(written("METHOD:CANCEL", ...one))).toMatchObject({
      faults: [{ message: expect.stringContaining("cancels") }],
    });
    const read = readListTable(written(...one) + written(...one));
    expect("table" in read && read.table.rows.map((r) => r.line)).toEqual([4, 13]);
  });

  it("that another library wrote is read: in UTC, in a named zone, and at the venue's own clock", () => {
    const text = made([
      { start: new Date("2026-12-05T13:05:00Z"), summary: "Mira Lind: Final", location: "Hall, door 2" },
      { start: "2026-12-05T14:05:00", timezone: "America/New_York", summary: "Final, Mira Lind" },
      { start: "2026-12-05T14:05:00", floating: true, summary: "Mira Lind (Final)" },
    ]);
    const { entries, faults } = readList(calendarTable(text));
    expect(faults).toEqual([]);
    expect(entries.map((e) => [e.title, e.venue, e.zone, e.startsAt])).toEqual([
      ["Mira Lind: Final", "Hall, door 2", "Europe/Vienna", "2026-12-05T13:05:00.000Z"],
      ["Final, Mira Lind", "", "America/New_York", "2026-12-05T19:05:00.000Z"],
      ["Mira Lind (Final)", "", "Europe/Vienna", "2026-12-05T13:05:00.000Z"],
    ]);
    const against = { athletes: [{ id: "a", name: "Mira Lind" }], events: [], starts: [] };
    expect(compareList(entries.slice(0, 1), against, false)).toMatchObject([
      { state: "new", start: { athleteId: "a", title: "Final" } },
    ]);
    for (const entry of entries)
      expect(compareList([entry], against, false)).toMatchObject([{ title: "Final", athlete: "Mira Lind" }]);
  });

  it("of days without a time, and of what repeats, names the line", () => {
    const text = made([
      { start: new Date("2026-12-05T00:00:00Z"), allDay: true, summary: "Day off" },
      { start: new Date("2026-12-05T10:00:00Z"), repeating: { freq: "DAILY", count: 3 }, summary: "Drill" },
    ]);
    const read = calendarTable(text);
    const at = text.split("\r\n").flatMap((line, i) => (line === "BEGIN:VEVENT" ? [i + 1] : []));
    expect("faults" in read && read.faults.map((f) => f.line)).toEqual(at);
  });

  it.each(["", "BEGIN:VCALENDAR", "Name,Time\nA,10:00", "BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n"])(
    "is none where there is nothing of it: %j",
    (text) => expect("faults" in calendarTable(text)).toBe(true),
  );
});

describe("comparing", () => {
  const athletes = [
    { id: "mira", name: "Mira Lind" },
    { id: "ola", name: "Ola Berg" },
  ];
  const entry = (more: Partial<ListEntry> = {}): ListEntry => ({
    line: 2,
    athlete: "Mira Lind",
    title: "Final",
    venue: "Hall",
    zone: "Europe/Vienna",
    startsAt: "2026-12-05T13:00:00.000Z",
    number: null,
    ...more,
  });
  const known = (more: Partial<KnownStart> = {}): KnownStart => ({
    id: "s1",
    athleteId: "mira",
    title: "Final",
    venue: "Hall",
    zone: "Europe/Vienna",
    startsAt: "2026-12-05T13:00:00.000Z",
    listedAt: "2026-12-05T13:00:00.000Z",
    readyAt: "2026-12-05T12:15:00.000Z",
    eventId: null,
    number: null,
    ...more,
  });
  const news = (entries: ListEntry[], starts: KnownStart[] = [], add = false) =>
    compareList(entries, { athletes, events: [{ id: "e", name: "final" }], starts }, add);

  it("what is not there is new, of the event that is called so", () => {
    expect(news([entry()])).toEqual([
      {
        line: 2,
        athlete: "Mira Lind",
        title: "Final",
        state: "new",
        start: {
          athleteId: "mira",
          title: "Final",
          venue: "Hall",
          zone: "Europe/Vienna",
          startsAt: "2026-12-05T13:00:00.000Z",
          listedAt: "2026-12-05T13:00:00.000Z",
          readyAt: "2026-12-05T12:15:00.000Z",
          eventId: "e",
          number: null,
        },
      },
    ]);
  });

  it("what reads the same is the same, also where the start has been moved since", () => {
    expect(news([entry()], [known()])).toMatchObject([{ state: "same", id: "s1" }]);
    const moved = known({ startsAt: "2026-12-05T13:25:00.000Z" });
    expect(news([entry()], [moved])).toMatchObject([{ state: "same" }]);
    expect(news([entry({ venue: "" })], [known()])).toMatchObject([{ state: "same" }]);
  });

  it("another time on the list moves the start and what it has of time with it", () => {
    const [row] = news([entry({ startsAt: "2026-12-05T14:10:00.000Z", number: 4 })], [known()]);
    expect(row).toMatchObject({
      state: "changed",
      changed: ["time", "number"],
      start: {
        startsAt: "2026-12-05T14:10:00.000Z",
        listedAt: "2026-12-05T14:10:00.000Z",
        readyAt: "2026-12-05T13:25:00.000Z",
        number: 4,
      },
    });
  });

  it("another day, another event or another athlete is another start", () => {
    for (const other of [
      entry({ startsAt: "2026-12-06T13:00:00.000Z" }),
      entry({ title: "Heat" }),
      entry({ athlete: "Ola Berg" }),
    ])
      expect(news([other], [known()])).toMatchObject([{ state: "new" }]);
  });

  it("of two rounds of one name the first meets the first", () => {
    const starts = [
      known({ id: "late", startsAt: "2026-12-05T17:00:00.000Z", listedAt: "2026-12-05T17:00:00.000Z" }),
      known({ id: "early" }),
    ];
    const rows = [entry({ line: 3, startsAt: "2026-12-05T17:05:00.000Z" }), entry({ line: 2 })];
    expect(news(rows, starts)).toMatchObject([
      { line: 2, state: "same", id: "early" },
      { line: 3, state: "changed", id: "late" },
    ]);
  });

  it("a round that stands at its very time is that one, whatever else there is on the day", () => {
    const starts = [
      known({ id: "early" }),
      known({ id: "late", startsAt: "2026-12-05T17:00:00.000Z", listedAt: "2026-12-05T17:00:00.000Z" }),
    ];
    expect(news([entry({ startsAt: "2026-12-05T17:00:00.000Z" })], starts)).toMatchObject([
      { state: "same", id: "late" },
    ]);
    // Both moved, and read from the last to the first: still the first means the first.
    const moved = ["17:30", "13:30"].map((time, i) =>
      entry({ line: i + 2, startsAt: `2026-12-05T${time}:00.000Z` }),
    );
    expect(news(moved, [...starts].reverse())).toMatchObject([
      { state: "changed", id: "late" },
      { state: "changed", id: "early" },
    ]);
    // A third between the two that are there is new.
    const three = ["13:00", "15:00", "17:00"].map((time, i) =>
      entry({ line: i + 2, startsAt: `2026-12-05T${time}:00.000Z` }),
    );
    expect(news(three, starts).map((row) => row.state)).toEqual(["same", "new", "same"]);
  });

  it("the same start twice, and two athletes of one name, are faults", () => {
    expect(news([entry(), entry({ line: 7, athlete: "LIND, Mira" })])).toMatchObject([
      { state: "new" },
      { line: 7, state: "fault", message: expect.stringContaining("line 2") },
    ]);
    const twins = { athletes: [...athletes, { id: "x", name: "Lind Mira" }], events: [], starts: [] };
    expect(compareList([entry()], twins, false)).toMatchObject([{ state: "fault" }]);
  });

  it("who is not in the club stays out, or comes in where that is wanted", () => {
    expect(news([entry({ athlete: "Una Falk" })])).toMatchObject([{ state: "other", athlete: "Una Falk" }]);
    expect(news([entry({ athlete: "Una Falk" })], [], true)).toMatchObject([{ state: "new-athlete" }]);
  });

  it("a list that was taken reads the same when it comes again", () => {
    const anyEntry = fc.record({
      athlete: fc.constantFrom("Mira Lind", "Berg Ola", "Una Falk"),
      title: fc.constantFrom("Heat", "Final", "FINAL"),
      venue: fc.constantFrom("", "Hall"),
      hour: fc.integer({ min: 0, max: 60 }),
      number: fc.option(fc.integer({ min: 1, max: 9 }), { nil: null }),
    });
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 12 }), fc.boolean(), (rows, add) => {
        const list = rows.map(({ hour, ...row }, i) =>
          entry({ ...row, line: i + 2, startsAt: new Date(Date.UTC(2026, 11, 5, hour)).toISOString() }),
        );
        const first = news(list, [], add).filter((row) => row.state !== "fault");
        const made = first.flatMap((row, i): KnownStart[] => {
          if (row.state === "new") return [{ id: `s${i}`, ...row.start }];
          return row.state === "new-athlete" ? [{ id: `s${i}`, athleteId: "una", ...row.start }] : [];
        });
        const withUna = [...athletes, ...(add ? [{ id: "una", name: "Una Falk" }] : [])];
        const lines = new Set(first.map((row) => row.line));
        const again = compareList(
          list.filter((row) => lines.has(row.line)),
          { athletes: withUna, events: [], starts: made },
          add,
        );
        for (const row of again) expect(["same", "other"]).toContain(row.state);
      }),
      cases(300),
    );
  });

  it("a name is found in a title as a whole word, not as the beginning of another", () => {
    const lists = (title: string) => news([entry({ athlete: "", title })]);
    expect(lists("Mira Lindqvist: Final")).toMatchObject([{ state: "other" }]);
    expect(lists("Final, Elmira Lind")).toMatchObject([{ state: "other" }]);
    expect(lists("Final – Mira Lind")).toMatchObject([{ state: "new", title: "Final" }]);
  });

  it("a name is the same whichever part comes first", () => {
    expect(nameKey("LIND, Mira")).toBe(nameKey(" mira  lind"));
    expect(nameKey("Mira Lind")).not.toBe(nameKey("Mira Linda"));
  });
});
