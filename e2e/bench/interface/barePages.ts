import type { Page } from "@playwright/test";
import { drag } from "./drag";
import { press } from "./press";

/** A slider and its number, and nothing else: the least that a browser needs on this machine. */
export const LEAST = `<input type="range" style="width:360px"><b id="n">1</b>`;

const STRIP =
  '<div style="background:#dec9da;margin:3px;min-height:52px;display:flex"><b class="t">0</b><span style="flex:1">Name of a drill</span><b class="t">0</b></div>';

/** The same with thirty plain strips that plain script writes over with every input. */
export const STRIPS = LEAST + STRIP.repeat(30);

/** The slider of a page that has nothing of ours, from input to paint, ms. */
export async function dragBare(page: Page, content: string): Promise<number[]> {
  await page.goto("about:blank");
  await page.setContent(content);
  await page.evaluate(() => {
    const [range, number] = [document.querySelector("input"), document.querySelector("#n")];
    range?.addEventListener("input", () => {
      if (number) number.textContent = range.value;
      for (const text of document.querySelectorAll(".t")) text.textContent = range.value;
    });
  });
  return (await drag(page)).finger;
}

/** A press on such a page that writes over its thirty strips, to paint, ms. */
export async function pressBare(page: Page): Promise<number[]> {
  await page.goto("about:blank");
  await page.setContent(`<button style="width:200px;height:64px">Press</button>${STRIPS}`);
  await page.evaluate(() => {
    let many = 0;
    document.querySelector("button")?.addEventListener("click", () => {
      many++;
      for (const text of document.querySelectorAll(".t")) text.textContent = String(many);
    });
  });
  return press(page, ["Press"]);
}
