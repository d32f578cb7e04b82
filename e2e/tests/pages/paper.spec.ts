import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { clubApi, expectAccessible, openDemo, shareStart } from "../../coach";

/** The demo's next start that has a warm-up and an hour before it. */
async function nextStart(page: Page) {
  const { starts } = await (await page.request.get(`${await clubApi(page)}/starts`)).json();
  return starts.findLast((s: { athlete: { name: string } }) => s.athlete.name === "Pia Sandgren");
}

async function pdfOf(page: Page, name: string): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name }).click(),
  ]);
  return (await readFile(await download.path())).toString("latin1");
}

test("a start is on paper: to look at, to print, as A4 and as a card; what draws it is loaded only then", async ({
  page,
}) => {
  await openDemo(page);
  const scripts: string[] = [];
  const start = await nextStart(page);
  await page.goto(`/day/${start.id}`);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Sheet to print" }).click();
  const sheet = page.getByRole("main").locator(".sheet");
  await expect(sheet).toContainText("Pia Sandgren");
  await expect(sheet.getByRole("row").filter({ hasText: "Start, after a wait of" })).toBeVisible();
  await expectAccessible(page);
  page.on("request", (request) => {
    if (request.resourceType() === "script") scripts.push(request.url());
  });
  const a4 = await pdfOf(page, "PDF, A4");
  expect(scripts.length).toBeGreaterThan(0);
  expect(a4).toMatch(/^%PDF-/);
  const card = await pdfOf(page, "PDF, pocket card");
  expect(card).toMatch(/^%PDF-/);
  expect(a4).toMatch(/MediaBox \[0 0 595/);

  await page.emulateMedia({ media: "print" });
  await expect(page.locator(".print-only .sheet")).toBeVisible();
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
});

test("whoever holds the link has the sheet too", { tag: "@long" }, async ({ page, browser }) => {
  await openDemo(page);
  const link = await shareStart(page, "Pia Sandgren");
  const other = await (await browser.newContext()).newPage();
  await other.goto(link);
  await other.getByRole("radio", { name: "Day" }).click();
  expect(await pdfOf(other, "PDF, A4")).toMatch(/^%PDF-/);
});

test("a run of the log, and the club's tables, are files", { tag: "@long" }, async ({ page }) => {
  await openDemo(page);
  await page.goto("/club");
  await page.getByRole("button", { name: "Export or import" }).click();
  for (const [label, heads] of [
    ["Shelf table", "Name,Phase"],
    ["Starts table", "Athlete,Event"],
    ["Log table", "Day,Athlete"],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: label }).click(),
    ]);
    expect((await readFile(await download.path(), "utf8")).replace("\ufeff", "")).toContain(heads);
  }
});

test("a calendar subscribes to an address, which is withdrawn with one press", { tag: "@long" }, async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/club/calendars");
  await page.getByLabel("Whose days").selectOption("Pia Sandgren");
  await page.getByRole("button", { name: "Make an address" }).click();
  const address = await page.getByLabel("Address", { exact: true }).inputValue();
  const text = await (await page.request.get(address)).text();
  expect(text).toContain("BEGIN:VCALENDAR");
  expect(text.replaceAll("\r\n ", "")).toContain("Pia Sandgren");
  await expectAccessible(page);
  await page.getByRole("button", { name: /^Withdraw the calendar/ }).click();
  await expect(page.getByText("None.")).toBeVisible();
  expect((await page.request.get(address)).ok()).toBe(false);
});
