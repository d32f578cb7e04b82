import { chromium } from "@playwright/test";
import { chromium as launch } from "./browser";
import { controlClock, openDemo, openStart } from "./coach";

const browser = await chromium.launch(launch);
const base = "http://127.0.0.1:4799";
for (const [name, size] of [
  ["land", { width: 844, height: 390 }],
  ["wide", { width: 1280, height: 800 }],
  ["phone", { width: 390, height: 844 }],
] as const) {
  const page = await browser.newPage({ viewport: size, baseURL: base });
  page.on("pageerror", (e) => console.log("ERR", name, e.message));
  await openDemo(page);
  await controlClock(page);
  await openStart(page, "Tamsin Okoro-Vale");
  await page.getByRole("button", { name: /^Run$|^Back to the run$/ }).click();
  await page.waitForTimeout(2500);
  await page.screenshot({ path: "/tmp/run-dbg.png" });
  await page.getByRole("button", { name: "Begin" }).waitFor({ timeout: 3000 });
  if (name === "phone") await page.screenshot({ path: `/tmp/run-ready.png` });
  await page.getByRole("button", { name: "Begin" }).click();
  await page.clock.fastForward(100_000);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `/tmp/run-${name}.png` });
  if (name === "phone") {
    await page.getByRole("button", { name: "More" }).click();
    await page.getByRole("button", { name: "−5 min" }).click();
    for (let i = 0; i < 14; i++) {
      await page.getByRole("button", { name: "More" }).click();
      await page.getByRole("button", { name: "−5 min" }).click();
    }
    await page.clock.runFor(1500);
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `/tmp/run-refit.png` });
    await page.getByRole("button", { name: "More" }).click();
    await page.waitForTimeout(400);
    await page.screenshot({ path: `/tmp/run-menu.png` });
  }
  await page.close();
}
await browser.close();
