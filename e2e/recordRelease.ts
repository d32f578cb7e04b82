import { writeFileSync } from "node:fs";
import { chromium, expect } from "@playwright/test";
import { type Exchange, exchangesOf, linesOf } from "../core/test/made/exchanges";
import { chromium as launch } from "./browser";
import { closeSaved, openStart, saved, shareStart } from "./coach";

/*
 * Goes through a coach's first day with this release's client, and writes down what it asks of the server: whether a later
 * server still takes all of that is tried by `server/test/release.test.ts`. For the day on which a release lands.
 */

const browser = await chromium.launch(launch);
const page = await browser.newPage({ baseURL: process.env.RECORD_URL as string, locale: "en-GB" });
const heard: Promise<Exchange>[] = [];
page.on("response", (response) => {
  const request = response.request();
  const { pathname, search } = new URL(response.url());
  if (!pathname.startsWith("/api/clubs/") || pathname.endsWith("/changes")) return;
  const answer = response.json().catch(() => null);
  heard.push(
    answer.then((body) => ({
      ...{ method: request.method(), path: pathname + search, body: request.postDataJSON() },
      ...{ status: response.status(), answer: body },
    })),
  );
});
const written = (end: string) =>
  page.waitForResponse((r) => r.request().method() !== "GET" && new URL(r.url()).pathname.endsWith(end));

await page.goto("/");
await page.getByRole("link", { name: "Create an account and a club" }).click();
await page.getByLabel("Name of your club").fill("Harbour Tumblers");
await page.getByLabel("Your name").fill("Ines Vantongeren");
await page.getByLabel("E-mail").fill("first@example.org");
await page.getByLabel("Password").fill("a sentence to sign in with");
await page.getByRole("button", { name: "Create account and club" }).click();
await page.getByRole("checkbox", { name: "Trampoline" }).click();
await page.getByLabel("Athlete").fill("Odalys Brandt");
await page.getByRole("button", { name: "Build the warm-up" }).click();
const first = page.getByTestId("first-fill");
await expect(first.getByText(/^Filled from /)).toBeVisible({ timeout: 120_000 });
await first.getByRole("button", { name: "Good" }).click();
await saved(page);

// The start's sheet, and a move on Today.
await page.getByRole("button", { name: "More", exact: true }).click();
await page.getByRole("button", { name: /^The start/ }).click();
await page.getByRole("dialog").getByLabel("Event", { exact: true }).fill("Final");
await closeSaved(page);
await page.goto("/");
const card = page.getByRole("group", { name: /^Odalys Brandt/ });
await card.getByRole("button", { name: "Move start" }).click();
await Promise.all([written("/move"), card.getByRole("button", { name: "+5 min" }).click()]);

// The day's lists, a link, a run.
await openStart(page, "Odalys Brandt");
await page.getByRole("button", { name: "Day", exact: true }).click();
await page.getByRole("button", { name: "Lists" }).click();
await Promise.all([written("/ticks"), page.getByRole("checkbox").first().click()]);
await shareStart(page, "Odalys Brandt");
await page.getByRole("button", { name: "Run", exact: true }).click();
await page.getByRole("button", { name: "Begin" }).click();
for (const name of ["Hold", "Resume", "Done", "Undo", "Done"])
  await Promise.all([written("/events"), page.getByRole("button", { name, exact: true }).click()]);

// The athlete, and the log.
await page.goto("/club/athletes");
await page.getByRole("button", { name: "Open Odalys Brandt" }).click();
await page.getByLabel("Notes").fill("Likes it quiet");
await Promise.all([
  page.waitForResponse((r) => r.request().method() === "PUT"),
  page.getByRole("button", { name: /^Save/ }).click(),
]);
await page.goto("/log");
await expect(page.getByText("Odalys Brandt").first()).toBeVisible();

writeFileSync(process.env.RECORD_FILE as string, linesOf(exchangesOf(await Promise.all(heard))));
await browser.close();
