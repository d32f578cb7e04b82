import type { PrintedSheet, SheetPaper } from "@tonodrome/core/sheet";
import { useState } from "react";
import { createPortal } from "react-dom";
import { View } from "react-native";
import { saveBlob } from "~/data/device/saveFile";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { SheetPage } from "./SheetPage";

const PAPERS: readonly [SheetPaper, string][] = [
  ["a4", "PDF, A4"],
  ["pocket", "PDF, pocket card"],
];

/** A sheet as files, and to the printer. While this is shown, whatever the browser prints is the sheet. */
export function SheetFiles({ sheet }: { sheet: PrintedSheet }) {
  const [drawing, setDrawing] = useState<SheetPaper | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const draw = async (paper: SheetPaper) => {
    setDrawing(paper);
    setFailure(null);
    try {
      const { drawSheet } = await import("./drawSheet");
      saveBlob(`${sheet.athlete}, ${sheet.title}.pdf`, await drawSheet(sheet, paper));
    } catch {
      setFailure("The file could not be made: the part that draws it cannot be reached. Printing works.");
    }
    setDrawing(null);
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button label="Print" look="full" onPress={() => window.print()} />
        {PAPERS.map(([paper, label]) => (
          <Button
            key={paper}
            label={drawing === paper ? "Drawing …" : label}
            disabled={drawing !== null}
            onPress={() => void draw(paper)}
          />
        ))}
      </View>
      {failure ? <Notice warn text={failure} /> : null}
      {createPortal(
        <div className="print-only">
          <SheetPage sheet={sheet} />
        </div>,
        document.body,
      )}
    </View>
  );
}
