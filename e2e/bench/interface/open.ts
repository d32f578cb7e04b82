import type { Page } from "@playwright/test";
import { type Measured, measurePaints } from "./paints";
import { slowly } from "./slowly";
import { startOf } from "./startOf";

/** From the press on Today, where the data is, until every strip of a long warm-up is painted, several times over, ms. */
export async function open(page: Page, base: string, drills: number, rate: number): Promise<number[]> {
  await startOf(page, drills);
  await page.goto(base);
  const link = page
    .getByRole("group", { name: new RegExp(`^Bench ${drills},`) })
    .getByRole("link")
    .first();
  const times: number[] = [];
  for (let i = 0; i < 8; i++) {
    await link.waitFor();
    await measurePaints(page);
    await page.evaluate((many) => {
      const { afterPaint } = window as unknown as Measured;
      const opened = new Promise<number>((done) => {
        const click = () => {
          const began = performance.now();
          const look = () => {
            if (document.querySelectorAll("[data-testid=stair] li").length < many)
              return requestAnimationFrame(look);
            return afterPaint(() => done(performance.now() - began));
          };
          look();
        };
        document.addEventListener("click", click, { capture: true, once: true });
      });
      Object.assign(window, { opened });
    }, drills);
    const took = async () => {
      await link.click();
      return page.evaluate(() => (window as unknown as { opened: Promise<number> }).opened);
    };
    times.push(await slowly(page, took, rate));
    await page.getByRole("button", { name: "Back" }).click();
  }
  // The first opening loads the screen's own code as well.
  return times.slice(1);
}
