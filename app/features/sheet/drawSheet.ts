import { AtkinsonHyperlegibleNext_400Regular } from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular";
import { AtkinsonHyperlegibleNext_700Bold } from "@expo-google-fonts/atkinson-hyperlegible-next/700Bold";
import { type PrintedSheet, SHEET_FONT, type SheetPaper, sheetPdf } from "@tonodrome/core/sheet";
import { Asset } from "expo-asset";

const address = (font: number) => new URL(Asset.fromModule(font).uri, window.location.href).href;

/** Draws a sheet as PDF. What draws it is loaded when the first one is asked for. */
export async function drawSheet(sheet: PrintedSheet, paper: SheetPaper): Promise<Blob> {
  const { default: pdfmake } = await import("pdfmake");
  const own = new URL("/", window.location.href).href;
  pdfmake.setUrlAccessPolicy((url: string) => url.startsWith(own));
  pdfmake.addFonts({
    [SHEET_FONT]: {
      normal: address(AtkinsonHyperlegibleNext_400Regular),
      bold: address(AtkinsonHyperlegibleNext_700Bold),
    },
  });
  return pdfmake.createPdf(sheetPdf(sheet, paper)).getBlob();
}
