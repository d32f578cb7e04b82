import type { Page } from "@playwright/test";
import { type Measured, measurePaints, timesOf } from "./paints";
import { slowly } from "./slowly";

/** How wide the handle is, pixels. */
const HANDLE = 44;

/** Per input the time until the frame is painted in which the finger's own, the rise and the stair are, milliseconds. */
interface Drag {
  finger: number[];
  rise: number[];
  stair: number[];
}

/** The slider of a page is drawn to and fro. */
export async function drag(page: Page): Promise<Drag> {
  const slider = page.locator("input[type=range]");
  const box = await slider.boundingBox();
  if (!box) throw new Error("There is no slider on the screen.");
  await measurePaints(page);
  await page.evaluate(() => {
    const { afterPaint, times } = window as unknown as Measured;
    const all: Drag = { finger: [], rise: [], stair: [] };
    Object.assign(times, all);
    // What each of them has not painted yet.
    const began = { rise: 0, stair: 0 };
    const input = () => {
      const mine = performance.now();
      began.rise = began.stair = mine;
      afterPaint(() => all.finger.push(performance.now() - mine));
    };
    document.addEventListener("input", input, true);
    const watch = (what: "rise" | "stair", part: string) => {
      const changed = new MutationObserver(() => {
        const mine = began[what];
        if (mine === 0) return;
        began[what] = 0;
        afterPaint(() => all[what].push(performance.now() - mine));
      });
      const whatever = { subtree: true, childList: true, characterData: true, attributes: true };
      for (const found of document.querySelectorAll(part)) changed.observe(found, whatever);
    };
    watch("rise", ".rise-line");
    watch("stair", "[data-testid=stair]");
  });
  // It is taken by its handle, wherever that stands.
  const share = await slider.evaluate((e: HTMLInputElement) => {
    const [least, most] = [Number(e.min || 0), Number(e.max || 100)];
    const from = (Number(e.value) - least) / (most - least);
    return getComputedStyle(e).direction === "rtl" ? 1 - from : from;
  });
  const y = box.y + Math.min(10, box.height / 2);
  await slowly(page, async () => {
    await page.mouse.move(box.x + HANDLE / 2 + share * (box.width - HANDLE), y);
    await page.mouse.down();
    for (let i = 0; i < 160; i++) {
      await page.mouse.move(box.x + box.width * (0.36 + 0.3 * Math.cos(i / 12)), y);
      await page.waitForTimeout(50);
    }
    await page.mouse.up();
  });
  return (await timesOf(page)) as unknown as Drag;
}
