import type { Content, TableCell, TDocumentDefinitions } from "pdfmake/interfaces";
import type { PrintedSheet, SheetDrill } from "../sheet/printedSheet";

/*
 * A printed sheet as the description that pdfmake paginates and draws. Whoever draws it gives the font, in a normal and
 * a bold weight: it has to have the letters of the names.
 */

/** A page to be read on a wall, or one that is folded once into a card for a pocket. */
export type SheetPaper = "a4" | "pocket";

/** The font's name in the description. */
export const SHEET_FONT = "Sheet";

/** Type sizes, points: read at arm's length, and in the hand. Custom. */
const SIZES = {
  a4: { text: 12, small: 10, head: 20, figure: 34 },
  pocket: { text: 7.5, small: 6.5, head: 11, figure: 20 },
};

/** A sheet described for drawing: A4 upright; for the pocket A5 across, folded once to A6, the day left, the stair right. */
export function sheetPdf(sheet: PrintedSheet, paper: SheetPaper): TDocumentDefinitions {
  const size = SIZES[paper];
  const parts = { head: headOf(sheet, size), day: dayOf(sheet, size), stair: stairOf(sheet, size) };
  const more = moreOf(sheet, size);
  const pocket = paper === "pocket";
  // On the card the lists stand where there is room: a drill has about two lines.
  const right = 2 * sheet.drills.length < sheet.steps.length + HEAD_LINES;
  return {
    info: { title: `${sheet.athlete}, ${sheet.title}`, creator: "Tonodrome" },
    pageSize: pocket ? "A5" : "A4",
    pageOrientation: pocket ? "landscape" : "portrait",
    pageMargins: pocket ? [14, 14, 14, 14] : [40, 36, 40, 40],
    defaultStyle: { font: SHEET_FONT, fontSize: size.text, lineHeight: 1.1 },
    content: pocket
      ? [
          {
            columns: [
              { width: "*", stack: [...parts.head, ...parts.day, ...(right ? [] : more)] },
              { width: "*", stack: [...parts.stair, ...(right ? more : [])] },
            ],
            columnGap: 28,
          },
        ]
      : [...parts.head, ...parts.day, ...parts.stair, ...more],
    ...(pocket
      ? {}
      : {
          footer: (page: number, pages: number): Content => ({
            text: `${sheet.athlete}, ${sheet.start}, ${page} of ${pages}`,
            fontSize: size.small,
            alignment: "center",
          }),
        }),
  };
}

/** Lines of the card that its head takes. */
const HEAD_LINES = 6;

type Sizes = (typeof SIZES)["a4"];

function headOf(
  { athlete, title, venue, date, start, zone, begins, remarks }: PrintedSheet,
  size: Sizes,
): Content[] {
  return [
    {
      columns: [
        {
          width: "*",
          stack: [
            { text: athlete, bold: true, fontSize: size.head },
            title,
            ...(venue ? [{ text: venue, fontSize: size.small }] : []),
          ],
        },
        {
          width: "auto",
          stack: [
            { text: start, bold: true, fontSize: size.figure, alignment: "right" },
            { text: `${date}, ${zone}`, fontSize: size.small, alignment: "right" },
            ...(begins ? [{ text: `warm-up from ${begins}`, bold: true, alignment: "right" as const }] : []),
          ],
        },
      ],
    },
    ...remarks.map((text): Content => ({ text, bold: true, margin: [0, 4, 0, 0] })),
  ];
}

const RULES = {
  hLineWidth: (i: number) => (i === 0 ? 1 : 0.5),
  vLineWidth: () => 0,
  paddingLeft: () => 0,
  paddingRight: () => 4,
  paddingTop: () => 1.5,
  paddingBottom: () => 1.5,
};

function headed(text: string, size: Sizes): Content {
  return { text, bold: true, fontSize: size.text + 1, margin: [0, size.text, 0, 2] };
}

function dayOf({ steps }: PrintedSheet, size: Sizes): Content[] {
  if (steps.length === 0) return [];
  const body = steps.map(({ clock, badly, day, name, place, takes }): TableCell[] => [
    { text: clock, bold: true, noWrap: true },
    { text: badly ?? "", fontSize: size.small, noWrap: true },
    {
      stack: [
        name,
        ...(place || day ? [{ text: [day, place].filter(Boolean).join(", "), fontSize: size.small }] : []),
      ],
    },
    { text: takes, fontSize: size.small, noWrap: true, alignment: "right" },
  ]);
  return [
    headed("The day, and when it goes badly", size),
    { table: { widths: ["auto", "auto", "*", "auto"], dontBreakRows: true, body }, layout: RULES },
  ];
}

function stairOf({ drills, wait, start }: PrintedSheet, size: Sizes): Content[] {
  if (drills.length === 0) return [];
  const body = drills.map((drill): TableCell[] => [
    { text: drill.clock, bold: true, noWrap: true },
    { text: drill.minus, fontSize: size.small, noWrap: true },
    { stack: drillStack(drill, size) },
    { text: drill.takes, fontSize: size.small, noWrap: true, alignment: "right" },
  ]);
  const last: TableCell[] = [
    { text: start, bold: true, noWrap: true },
    { text: "0:00", fontSize: size.small },
    { text: wait ? `Start, after a wait of ${wait}` : "Start", bold: true },
    "",
  ];
  return [
    headed("Warm-up", size),
    {
      table: { widths: ["auto", "auto", "*", "auto"], dontBreakRows: true, body: [...body, last] },
      layout: RULES,
    },
  ];
}

function drillStack({ name, dose, place, focus, rungs }: SheetDrill, size: Sizes): Content[] {
  const small = [place, focus].filter(Boolean).join(". ");
  return [
    { text: [{ text: name, bold: true }, dose ? `, ${dose}` : ""] },
    ...rungs.map(
      (rung): Content => ({
        text: [`${rung.name}: ${rung.dose}`, rung.focus ? `. ${rung.focus}` : ""],
        margin: [6, 0, 0, 0],
      }),
    ),
    ...(small ? [{ text: small, fontSize: size.small }] : []),
  ];
}

function moreOf({ lists, cautions }: PrintedSheet, size: Sizes): Content[] {
  return [
    ...lists.flatMap(({ name, lines }): Content[] => [
      headed(name, size),
      {
        columns: halves(lines).map((half) => ({ stack: half.map((line) => box(line, size)) })),
        columnGap: 12,
      },
    ]),
    ...(cautions.length > 0
      ? [headed("Take care", size), ...cautions.map((text): Content => ({ text, margin: [0, 0, 0, 2] }))]
      : []),
  ];
}

/** A line with a box to be ticked by pencil. */
const box = (text: string, size: Sizes): Content => ({
  columns: [
    {
      width: size.text,
      canvas: [{ type: "rect", x: 0, y: 2, w: size.text - 2, h: size.text - 2, lineWidth: 0.75 }],
    },
    { width: "*", text },
  ],
  columnGap: 4,
  margin: [0, 0, 0, 2],
});

function halves(lines: readonly string[]): string[][] {
  const middle = Math.ceil(lines.length / 2);
  return [lines.slice(0, middle), lines.slice(middle)];
}
