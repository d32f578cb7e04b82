import type { Page } from "@playwright/test";
import { type Measured, measurePaints, timesOf } from "./paints";
import { slowly } from "./slowly";

/** From a press to the frame that shows what it did, over and over, ms. @param names of what is pressed, by turns */
export async function press(page: Page, names: readonly string[]): Promise<number[]> {
  await measurePaints(page);
  await page.evaluate(() => {
    const { afterPaint, times } = window as unknown as Measured;
    const presses: number[] = [];
    Object.assign(times, { presses });
    const click = () => {
      const began = performance.now();
      const watch = new MutationObserver(() => {
        watch.disconnect();
        afterPaint(() => presses.push(performance.now() - began));
      });
      const whatever = { subtree: true, childList: true, characterData: true, attributes: true };
      watch.observe(document.body, whatever);
    };
    document.addEventListener("click", click, true);
  });
  await slowly(page, async () => {
    for (let i = 0; i < 60; i++) {
      const box = await page.getByRole("button", { name: names[i % names.length] }).boundingBox();
      if (!box) throw new Error("There is nothing to press.");
      // As a finger does: nobody asks the page what lies there.
      await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
      await page.waitForTimeout(120);
    }
  });
  return (await timesOf(page)).presses ?? [];
}
