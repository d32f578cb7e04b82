import { createRequire } from "node:module";
import path from "node:path";
import { type PrintedSheet, SHEET_FONT, type SheetPaper, sheetPdf } from "@tonodrome/core/sheet";

/** Draws a sheet as PDF. What draws it is loaded when the first one is asked for. */
export async function pdfOf(sheet: PrintedSheet, paper: SheetPaper): Promise<Uint8Array> {
  const { default: pdfmake } = await import("pdfmake");
  const fonts = path.dirname(
    createRequire(import.meta.url).resolve("@expo-google-fonts/atkinson-hyperlegible-next/package.json"),
  );
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file: string) => file.startsWith(fonts));
  pdfmake.addFonts({
    [SHEET_FONT]: {
      normal: path.join(fonts, "400Regular", "AtkinsonHyperlegibleNext_400Regular.ttf"),
      bold: path.join(fonts, "700Bold", "AtkinsonHyperlegibleNext_700Bold.ttf"),
    },
  });
  return pdfmake.createPdf(sheetPdf(sheet, paper)).getBuffer();
}
