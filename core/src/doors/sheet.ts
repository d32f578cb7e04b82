// A start on paper: whatever shows, prints or draws its sheet.

export { SHEET_FONT, type SheetPaper, sheetPdf } from "../formats/sheetPdf";
export { type PrintedSheet, printedSheet, type SheetDrill, type SheetOf } from "../sheet/printedSheet";
