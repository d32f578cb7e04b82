import { chromium as pw } from "@playwright/test";
import { chromium } from "./browser";
import { openDemo, openStart } from "./coach";
const browser = await pw.launch(chromium);
const base = "http://127.0.0.1:4821";
const page = await browser.newPage({ baseURL: base, viewport: { width: 390, height: 844 } });
page.setDefaultTimeout(8000);
await openDemo(page);
await openStart(page, "Ilse Marrow");
await page.getByRole("button", { name: "More", exact: true }).click();
await page.waitForTimeout(400);
await page.screenshot({ path: "/tmp/w/s-more.png" });
for (const [name, file] of [[/Places|Venue|windows/i, "s-venue"], [/Wait|step|limits|Settings/i, "s-settings"]]) {
  try {
    await page.getByRole("dialog").getByRole("button", { name }).first().click();
    await page.waitForTimeout(500);
    await page.setViewportSize({ width: 390, height: 1500 }); await page.waitForTimeout(300);
    await page.screenshot({ path: `/tmp/w/${file}.png` });
    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole("button", { name: "Close" }).click();
    await page.getByRole("button", { name: "More", exact: true }).click();
    await page.waitForTimeout(300);
  } catch (e) { console.log(String(e).slice(0, 300)); }
}
await page.goto(base + "/club/athletes");
await page.getByText("Ilse Marrow").first().click();
await page.waitForTimeout(1000);
await page.setViewportSize({ width: 390, height: 1500 }); await page.waitForTimeout(300);
await page.screenshot({ path: "/tmp/w/s-athlete.png" });
console.log(page.url());
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(base); await openStart(page, "Ilse Marrow");
await page.getByRole("button", { name: /Fill/ }).first().click().catch(async () => { await page.getByRole("button", { name: "More", exact: true }).click(); await page.getByRole("dialog").getByRole("button", { name: /^Fill it/ }).click(); });
await page.waitForTimeout(3000);
await page.screenshot({ path: "/tmp/w/s-fillwide.png" });
await browser.close();
