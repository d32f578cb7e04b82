import { expect, type Page, test } from "@playwright/test";
import { clubApi, expectAccessible, openDemo, openNewClub } from "../../coach";

/** Tomorrow's day, and a start list of it. */
const day = () => new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
const list = (...rows: string[]) => ["Nr;Name;Category;Date;Time;Rink", ...rows].join("\n");
const row = (number: number, name: string, time: string) =>
  `${number};${name};Novice free;${day()};${time};Lakeside`;

async function paste(page: Page, text: string): Promise<void> {
  await page.goto("/start/list");
  await page.getByLabel("Or paste it, heads first").fill(text);
  await page.getByRole("button", { name: "Read what was pasted" }).click();
  await page.getByLabel("Time zone of the venue").fill("UTC");
}
const summary = (page: Page) => page.getByTestId("list-summary");

async function addAthletes(page: Page, ...names: string[]): Promise<void> {
  const api = await clubApi(page);
  for (const name of names) await page.request.post(`${api}/athletes`, { data: { name } });
}

test("a list with faults is seen row by row, taken as a whole, and brought up to date by the next", async ({
  page,
}) => {
  await openNewClub(page, "Lists");
  await addAthletes(page, "Mira Lind", "Ola Berg");
  await paste(
    page,
    list(
      row(1, "A Stranger", "14:00"),
      row(2, "LIND Mira", "14:05"),
      row(3, "Ola Berg", "14:61"),
      row(4, "Ola Berg", "14:15"),
    ),
  );
  await expect(summary(page)).toHaveText("2 new, 0 changed, 0 as they are, 1 not of the club, 1 with faults");
  const rows = page.getByRole("list", { name: "Lines of the list" }).getByRole("listitem");
  // Faults come first, with their line and column.
  await expect(rows.first()).toContainText("4");
  await expect(rows.first()).toContainText("Time: Give the time in 24 hours, like 14:05.");
  await expect(page.getByRole("button", { name: "Make 2 starts" })).toBeDisabled();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Leave them out" }).click();
  await page.getByRole("button", { name: "Make 2 starts" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await expect(page.getByRole("group", { name: "Mira Lind, Novice free" })).toContainText("14:05");

  await paste(page, list(row(2, "Mira Lind", "14:25"), row(4, "Ola Berg", "14:15")));
  await expect(summary(page)).toHaveText("0 new, 1 changed, 1 as they are");
  await expect(rows.first()).toContainText("another time");
  await page.getByRole("button", { name: "Change 1 start" }).click();
  await expect(page.getByRole("group", { name: "Mira Lind, Novice free" })).toContainText("14:25");
});

test("columns that were not recognised are said by hand, for each or for all rows; a calendar is a list too", {
  tag: "@long",
}, async ({ page }) => {
  await openNewClub(page, "Lists");
  await addAthletes(page, "Mira Lind");
  await paste(page, "Who it is,At\nMira Lind,9:05\n");
  await expect(summary(page)).toHaveText("Nothing to take yet");
  await page.getByLabel("Athlete", { exact: true }).selectOption("Who it is");
  await page.getByLabel("Time", { exact: true }).selectOption("At");
  await page.getByLabel("Event of all of them").fill("Final");
  await page.getByLabel("Day of all of them").fill(day());
  await expect(summary(page)).toHaveText("1 new, 0 changed, 0 as they are");
  const stamp = day().replaceAll("-", "");
  const calendar = [
    "BEGIN:VCALENDAR",
    "VERSION:2.0",
    "PRODID:-//Cup//EN",
    "BEGIN:VEVENT",
    "UID:1@cup",
    "DTSTAMP:20260101T000000Z",
    `DTSTART:${stamp}T101500Z`,
    "SUMMARY:Mira Lind: Heat 2",
    "LOCATION:Lakeside\\, door 2",
    "END:VEVENT",
    "END:VCALENDAR",
  ].join("\r\n");
  await page.getByRole("button", { name: "Another" }).click();
  await page.getByLabel("Or paste it, heads first").fill(calendar);
  await page.getByRole("button", { name: "Read what was pasted" }).click();
  await page.getByRole("button", { name: "Make 1 start" }).click();
  await expect(page.getByRole("group", { name: "Mira Lind, Heat 2" })).toContainText("Lakeside, door 2");
});

test("what is no list is refused with its line, and nothing is lost of what there is", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await page.goto("/start/list");
  await page.getByLabel("File with the start list").setInputFiles({
    name: "list.csv",
    mimeType: "text/csv",
    buffer: Buffer.from('Name,Time\n"Mira,14:00\n'),
  });
  await expect(page.getByText("Line 2: A quote is opened here and never closed.")).toBeVisible();
  await page.getByRole("button", { name: "Another" }).click();
  await page.getByLabel("File with the start list").setInputFiles({
    name: "huge.csv",
    mimeType: "text/csv",
    buffer: Buffer.alloc(17_000_000, "a"),
  });
  await expect(page.getByText("The file is too large for a start list.")).toBeVisible();
  await expectAccessible(page);
});

test("who is on now moves everybody after, at the pace of today so far", async ({ page }) => {
  await openNewClub(page, "Orders");
  await addAthletes(page, "Mira Lind", "Ola Berg");
  const numbers = Array.from({ length: 8 }, (_, i) => {
    const name = i === 3 ? "Mira Lind" : i === 6 ? "Ola Berg" : `Stranger ${i}`;
    return row(i + 1, name, `14:${String(i * 4).padStart(2, "0")}`);
  });
  await paste(page, list(...numbers));
  await page.getByRole("button", { name: "Make 2 starts" }).click();
  await page.getByRole("link", { name: "Running order, number 4" }).click();
  await expect(page.getByTestId("on-now")).toHaveText("Nobody yet");
  await expect(page.getByTestId("pace")).toContainText("First at 14:00, 4 min each on the list");
  await expectAccessible(page);
  // Somebody at the door said that number 1 went on at 13:00 today already, a day early: nobody goes before the list's time.
  await page.getByRole("button", { name: "1 is on now" }).click();
  await expect(page.getByTestId("on-now")).toHaveText("1 of 8");
  await expect(page.getByTestId("pace")).toContainText("ahead of the list");
  const ours = page.getByRole("list", { name: "Ours in this order" });
  await expect(ours.getByRole("listitem").first()).toContainText("14:12");
  await page.getByRole("button", { name: "Set who is on now" }).click();
  await page.getByRole("button", { name: "Number: more" }).click();
  await page.getByRole("button", { name: "4 is on", exact: true }).click();
  await expect(ours.getByRole("listitem").first()).toContainText("on now");
  await expect(ours.getByRole("listitem").last()).toContainText("2 before");
});

test("an order is made by hand for a start, with groups, and others are put in", { tag: "@long" }, async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/");
  const card = page.getByRole("group").filter({ has: page.getByRole("link", { name: /^Day of / }) });
  await card.first().getByRole("link").first().click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  await page.getByRole("button", { name: "Follow a running order" }).click();
  await page
    .getByRole("group", { name: /^Number of / })
    .getByRole("button", { name: /more$/ })
    .click();
  await page
    .getByRole("group", { name: "In groups of" })
    .getByRole("button", { name: /type it$/ })
    .click();
  await page.getByRole("textbox", { name: "In groups of" }).fill("6");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("group", { name: "Warm-up of each group before it" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Follow this order" }).click();
  await expect(page.getByTestId("on-now")).toHaveText("Nobody yet");
  await page.getByRole("button", { name: "Who is in this order" }).click();
  await page
    .getByRole("button", { name: /^Put .* in as 1$/ })
    .first()
    .click();
  await expect(page.getByRole("list", { name: "Ours in this order" }).getByRole("listitem")).toHaveCount(2);
});
