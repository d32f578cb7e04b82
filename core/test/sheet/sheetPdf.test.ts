import { execFileSync } from "node:child_process";
import path from "node:path";
import fc from "fast-check";
import pdfmake from "pdfmake";
import { conditionsOf, usualSetting } from "../../src/conditions/setting";
import { usualDay } from "../../src/day/usualDay";
import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import { SHEET_FONT, type SheetPaper, sheetPdf } from "../../src/formats/sheetPdf";
import { type PrintedSheet, printedSheet } from "../../src/sheet/printedSheet";
import { cases } from "../made/cases";
import { realDay } from "../made/realDays";

const READER = path.resolve(__dirname, "../made/readPdf.mjs");
const FONTS = path.resolve(__dirname, "../../../node_modules/@expo-google-fonts/atkinson-hyperlegible-next");

beforeAll(() => {
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file: string) => file.startsWith(FONTS));
  pdfmake.addFonts({
    [SHEET_FONT]: {
      normal: path.join(FONTS, "400Regular/AtkinsonHyperlegibleNext_400Regular.ttf"),
      bold: path.join(FONTS, "700Bold/AtkinsonHyperlegibleNext_700Bold.ttf"),
    },
  });
});

/** What another library than the one that drew it reads on the pages. */
async function read(sheet: PrintedSheet, paper: SheetPaper) {
  const bytes = await pdfmake.createPdf(sheetPdf(sheet, paper)).getBuffer();
  const answer = execFileSync(process.execPath, [READER], { input: bytes, maxBuffer: 10_000_000 });
  const said = JSON.parse(answer.toString()) as { text: string; pages: number; size: number[] };
  return { ...said, text: plain(said.text) };
}

/** Where lines end is the page's business. */
const plain = (text: string) => text.replace(/\s+/g, "");

function sheetOf(drills: number, seed: number, names: string[] = []): PrintedSheet {
  const { plan, day, availableSeconds } = realDay(drills, seed);
  const items = plan.items.map((item, i) => ({ ...item, name: names[i % names.length] ?? item.name }));
  const frame = {
    startsAt: "2026-12-05T13:20:00.000Z",
    zone: "Europe/Vienna",
    warmUpSeconds: availableSeconds,
  };
  const steps = usualDay({ ...frame, event: null, travel: { usual: 25, bad: 40 } });
  const fit = fitPlan({ ...plan, items }, availableSeconds, day);
  const setting = { ...usualSetting(), indoors: false, temperature: 2 };
  return printedSheet({
    athlete: "Mira Lindqvist-Okoro",
    title: "Long programme",
    venue: "Aldermere Ice Hall",
    frame: { ...frame, steps },
    fit,
    conditions: conditionsOf(setting),
  });
}

function everyWord({ athlete, title, venue, start, steps, drills, lists, cautions }: PrintedSheet): string[] {
  return [
    athlete,
    title,
    venue,
    start,
    ...steps.flatMap((s) => [s.clock, s.badly ?? "", s.name, s.place, s.takes, s.day]),
    ...drills.flatMap((d) => [d.clock, d.minus, d.name, d.dose, d.takes, d.place, d.focus]),
    ...drills.flatMap((d) => d.rungs.flatMap((r) => [r.name, r.dose, r.focus])),
    ...lists.flatMap((l) => [l.name, ...l.lines]),
    ...cautions,
  ];
}

it.each(["a4", "pocket"] as const)("%s: every word of the sheet is on the paper", async (paper) => {
  const sheet = sheetOf(14, 3);
  expect(sheet.drills.length).toBeGreaterThan(6);
  expect(sheet.steps.length).toBeGreaterThan(6);
  const { text } = await read(sheet, paper);
  for (const word of everyWord(sheet)) expect(text).toContain(plain(word));
});

it("a group of thirty stands on it by name, to be ticked off, and what is called with its number", async () => {
  const { plan, day, availableSeconds } = realDay(8, 3);
  const called = { movements: [{ name: "star jumps", counts: 8 }], gapFrom: 5, gapTo: 9 };
  const items = plan.items.map((item) => ({ ...item, details: { ...noDetails(), ...item.details, called } }));
  const group = Array.from({ length: 30 }, (_, i) => ({ name: `Somebody of Harbour Hall, ${i + 1}` }));
  const of = {
    startsAt: "2026-12-05T13:20:00.000Z",
    zone: "UTC",
    warmUpSeconds: availableSeconds,
    steps: [],
  };
  const sheet = printedSheet({
    ...{ athlete: "A", title: "B", venue: "", frame: of, group },
    fit: fitPlan({ ...plan, items }, availableSeconds, day),
    conditions: conditionsOf(usualSetting()),
  });
  expect(sheet.lists).toEqual([{ name: "Group of 30", lines: group.map((m) => m.name) }]);
  expect(sheet.drills[0]?.focus).toMatch(/Called: 1 star jumps \(8\)$/);
  for (const paper of ["a4", "pocket"] as const) {
    const { text } = await read(sheet, paper);
    for (const word of everyWord(sheet)) expect(text).toContain(plain(word));
  }
});

it("is A4 upright, and a card that is folded once to A6; twenty drills are on one side of the card", async () => {
  const sheet = sheetOf(20, 5);
  expect((await read(sheet, "a4")).size).toEqual([595, 842]);
  const card = await read(sheet, "pocket");
  expect(card.size).toEqual([595, 420]);
  expect(card.pages).toBeLessThanOrEqual(2);
});

it("has the steps and drills in the order of the clock, and says so where something does not fit", () => {
  const sheet = sheetOf(14, 3);
  const minutes = sheet.drills.map((d) => d.minus);
  const seconds = minutes.map((m) =>
    m
      .replace("−", "")
      .split(":")
      .reduce((sum, part) => sum * 60 + Number(part), 0),
  );
  expect(seconds).toEqual([...seconds].sort((a, b) => b - a));
  const days = sheet.steps.filter((s) => s.day === "").map((s) => s.clock);
  expect(days).toEqual([...days].sort());
  expect(sheet.begins).toBe(sheet.drills[0]?.clock);
  expect(sheet.cautions[0]).toMatch(/^Cold outdoors/);
  const { plan, day } = realDay(14, 3);
  const frame = { startsAt: "2026-12-05T13:20:00.000Z", zone: "UTC", warmUpSeconds: 60, steps: [] };
  const short = printedSheet({
    athlete: "A",
    title: "B",
    venue: "",
    frame,
    fit: fitPlan(plan, 60, day),
    conditions: conditionsOf(usualSetting()),
  });
  expect(short.remarks).toEqual(["The essentials do not all fit into this time."]);
});

it("long names and names in other letters neither break it nor push anything off the page", async () => {
  const word = fc.string({
    unit: fc.constantFrom("a", "é", "ő", "Ł", "ß", "–", " "),
    minLength: 1,
    maxLength: 120,
  });
  await fc.assert(
    fc.asyncProperty(fc.array(word, { minLength: 1, maxLength: 4 }), async (names) => {
      const sheet = sheetOf(
        8,
        2,
        names.map((name) => name.trim() || "x"),
      );
      for (const paper of ["a4", "pocket"] as const) {
        const { text } = await read(sheet, paper);
        for (const drill of sheet.drills) expect(text).toContain(plain(drill.name));
      }
    }),
    cases(6, 1),
  );
});
