import { readFile } from "node:fs/promises";
import path from "node:path";
import type { Page } from "@playwright/test";

/** Where the page finds what draws a PDF: served from here, by no server. */
const DRAWS = "http://draws.invalid/pdfjs.mjs";

/** Beside each other: the sheet as it is on the page, and the card for the pocket as its file has it, before it is folded. */
export async function showCard(page: Page): Promise<void> {
  const shot = await page.screenshot({ animations: "disabled" });
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "PDF, pocket card" }).click(),
  ]);
  const file = await readFile(await download.path());
  const pdfjs = path.join(import.meta.dirname, "../node_modules/unpdf/dist/pdfjs.mjs");
  await page.route("http://draws.invalid/**", (route) =>
    route.request().url() === DRAWS
      ? route.fulfill({ path: pdfjs, contentType: "text/javascript" })
      : route.fulfill({ body: "<!doctype html><meta charset=utf-8>", contentType: "text/html" }),
  );
  await page.goto("http://draws.invalid/");
  await page.setViewportSize({ width: 1220, height: 844 });
  await page.evaluate(
    async ({ draws, pdf, image }) => {
      document.body.style.cssText = "margin:0;display:flex;gap:40px;align-items:center;background:#ddd";
      document.body.innerHTML = `<img alt="" src="${image}" style="width:390px">`;
      const canvas = document.body.appendChild(document.createElement("canvas"));
      canvas.style.cssText = "width:750px;background:#fff";
      const { getDocument } = await import(draws);
      const bytes = Uint8Array.from(atob(pdf), (c) => c.charCodeAt(0));
      const first = await (await getDocument({ data: bytes, useSystemFonts: false }).promise).getPage(1);
      const whole = first.getViewport({ scale: 1 });
      const viewport = first.getViewport({ scale: 1500 / whole.width });
      canvas.width = viewport.width;
      canvas.height = viewport.height;
      await first.render({ canvas, canvasContext: canvas.getContext("2d"), viewport }).promise;
    },
    {
      draws: DRAWS,
      pdf: file.toString("base64"),
      image: `data:image/png;base64,${shot.toString("base64")}`,
    },
  );
}
