import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { clubApi, expectAccessible, openDemo, openFilledClub, saved, somebody } from "../../coach";

/**
 * A start of a new athlete's at noon tomorrow, as one of the demo's is: whatever time it is now, its day is an ordinary one.
 */
async function startTomorrow(page: Page): Promise<string> {
  const api = await clubApi(page);
  const post = async (path: string, data: object) =>
    (await (await page.request.post(`${api}/${path}`, { data })).json()) as { id: string };
  const { starts } = await (await page.request.get(`${api}/starts`)).json();
  // The one that is next.
  const like = starts.findLast((s: { athlete: { name: string } }) => s.athlete.name === "Pia Sandgren");
  const athlete = await post("athletes", { name: "Runa Sedge" });
  const day = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  const start = await post("starts", {
    ...{ athleteId: athlete.id, title: "Free skate", venue: "Aldermere Ice Hall", zone: "UTC" },
    ...{ startsAt: `${day}T12:00:00.000Z`, readyAt: `${day}T11:15:00.000Z` },
    ...{ eventId: like.eventId, planOf: like.id },
  });
  return start.id;
}

/** Opens the day of that start from Today. */
async function openDay(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: /^Day of Runa Sedge/ }).click();
  await expect(page.getByTestId("day")).toBeVisible();
}

const step = (page: Page, name: RegExp) => page.locator("[data-step]").filter({ hasText: name });

/** Minutes of a clock time that a step's row begins with. */
async function beginOf(page: Page, name: RegExp): Promise<number> {
  const [, h, m] = /(\d\d):(\d\d)/.exec((await step(page, name).textContent()) ?? "") ?? [];
  return Number(h) * 60 + Number(m);
}

test("the day is counted back from the start, in both versions, and moves with it", async ({ page }) => {
  await openDemo(page);
  await startTomorrow(page);
  await openDay(page);
  await expect(page.getByText(/, the day before$/)).toBeVisible();
  await expect(step(page, /^.*On the way/)).toContainText(/\d\d:\d\d\d\d:\d\d/);
  await expect(page.getByTestId("day-begins")).toHaveText(/^Leave \d\d:\d\d, to be sure \d\d:\d\d$/);
  await expect(page.getByRole("button", { name: /^Warm-up, .*leaves no room/ })).toBeVisible();
  await expectAccessible(page);

  const before = await beginOf(page, /On the way/);
  const api = await clubApi(page);
  const start = await (await page.request.get(`${api}/starts/${page.url().split("/").at(-1)}`)).json();
  const startsAt = new Date(Date.parse(start.startsAt) + 20 * 60_000).toISOString();
  const moved = await page.request.post(`${api}/starts/${start.id}/move`, {
    data: { version: start.version, startsAt },
  });
  expect(await moved.json()).toMatchObject({ startsAt });
  await expect.poll(async () => (1440 + (await beginOf(page, /On the way/)) - before) % 1440).toBe(20);
});

test("steps are changed, added, moved and taken out; it is saved by itself, and others' days begin with it", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await startTomorrow(page);
  await openDay(page);
  const before = await beginOf(page, /On the way/);
  await step(page, /On the way/).click();
  await page.getByRole("group", { name: "Usually" }).getByRole("button").last().click();
  await page.keyboard.press("Escape");
  await expect.poll(() => beginOf(page, /On the way/)).toBe(before - 5);
  await page.getByRole("button", { name: "Add a step" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Inspection" }).click();
  await page.getByLabel("Name").fill("Boots looked at");
  await expectAccessible(page);
  // Between arriving and settling in, which follows straight after it, there is no room.
  await page.getByRole("button", { name: "Earlier", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("cannot hold together");
  await page.getByRole("button", { name: "Later", exact: true }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.keyboard.press("Escape");
  await expect(step(page, /Boots looked at/)).toBeVisible();
  await step(page, /Snack/).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await expect(step(page, /Snack/)).toHaveCount(0);
  await expect(page.getByTestId("saved")).toHaveText("Saved");

  await page.reload();
  await expect(step(page, /Boots looked at/)).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^For Runa/ }).click();
  await expect(page.getByText(/^Kept for Runa/)).toBeVisible();
  await expectAccessible(page);
  const asked = page.waitForEvent("download");
  await page.getByRole("button", { name: "Calendar file" }).click();
  const file = await asked;
  expect(file.suggestedFilename()).toMatch(/^Runa Sedge, .*\.ics$/);
  expect(await readFile(await file.path(), "utf8")).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*Boots looked at/);
  await page.getByRole("button", { name: "Forget what was changed for this start" }).click();
  await expect(page.getByText("This athlete's usual day.", { exact: false })).toBeVisible();
  await expect(step(page, /Boots looked at/)).toBeVisible();
});

test("what cannot hold together is named with what may give, and a press lets it", { tag: "@long" }, async ({
  page,
}) => {
  await openDemo(page);
  await startTomorrow(page);
  await openDay(page);
  await step(page, /Settle in/).click();
  await page.getByRole("button", { name: "When it has to be" }).click();
  await page.getByRole("button", { name: "By the clock" }).click();
  await page.getByLabel("Not before").fill("23:59");
  await page.keyboard.press("Escape");
  const trouble = page.getByRole("alert");
  await expect(trouble).toContainText("These cannot hold together");
  await expect(trouble).toContainText("“Settle in” begins not before 23:59");
  await expect(page.getByTestId("day-begins")).toHaveText("These steps cannot hold together.");
  await expectAccessible(page);
  await trouble.getByRole("button", { name: /^Without: “Settle in” begins/ }).click();
  await expect(trouble).toHaveCount(0);
  await expect(page.getByTestId("day-begins")).toHaveText(/^Leave/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(trouble).toContainText("cannot hold together");
});

test("lists are ticked off without a network, two phones agree, and what is open stands on Today", async ({
  page,
  browser,
  context,
}) => {
  await openFilledClub(page);
  await startTomorrow(page);
  const other = await somebody(page, browser, "assistant");
  await openDay(page);
  await openDay(other);
  for (const one of [page, other]) await one.getByRole("button", { name: "Lists" }).click();
  await expectAccessible(page);
  await context.setOffline(true);
  await page.getByRole("checkbox", { name: "Drink" }).click();
  await page.getByRole("checkbox", { name: "Food" }).click();
  await expect(page.getByText(/^Only on this device so far/)).toBeVisible();
  await other.getByRole("checkbox", { name: "Warm clothes" }).click();
  await expect(other.getByRole("checkbox", { name: "Warm clothes" })).toBeChecked();
  await expect(other.getByRole("checkbox", { name: "Drink" })).not.toBeChecked();
  await context.setOffline(false);
  for (const one of [page, other])
    for (const name of ["Drink", "Food", "Warm clothes"])
      await expect(one.getByRole("checkbox", { name })).toBeChecked({ timeout: 20_000 });
  // What only this device knows is sent as soon as it is opened again, whatever is opened.
  await context.setOffline(true);
  await page.getByRole("checkbox", { name: "Drink" }).click();
  await expect(page.getByText(/^Only on this device so far/)).toBeVisible();
  await page.goto("about:blank");
  await context.setOffline(false);
  await page.goto("/");
  await expect(other.getByRole("checkbox", { name: "Drink" })).not.toBeChecked({ timeout: 20_000 });
  const lists = page.getByRole("group", { name: /^Runa Sedge/ }).getByTestId("open-list");
  await expect(lists.filter({ hasText: /^To pack: / })).toBeVisible();
  await other.context().close();
});

test("whoever holds the link sees the day, ticks off its lists, and takes it along as a calendar", {
  tag: "@long",
}, async ({ page, browser, baseURL }) => {
  await openFilledClub(page);
  const id = await startTomorrow(page);
  const shared = await page.request.post(`${await clubApi(page)}/starts/${id}/shares`, {
    data: { until: "day" },
  });
  const link = `/shared/${(await shared.json()).token}`;
  const device = await browser.newContext({ baseURL });
  const phone = await device.newPage();
  await phone.goto(link);
  await phone.getByRole("radio", { name: "Day" }).click();
  await expect(step(phone, /On the way/)).toBeVisible();
  await expectAccessible(phone);
  // What the athlete ticks off, the coach sees.
  await phone.getByRole("button", { name: "Lists" }).click();
  await phone.getByRole("checkbox", { name: "Drink" }).click();
  await openDay(page);
  await page.getByRole("button", { name: "Lists" }).click();
  await expect(page.getByRole("checkbox", { name: "Drink" })).toBeChecked();
  await page.getByRole("checkbox", { name: "Food" }).click();
  await expect(phone.getByRole("checkbox", { name: "Food" })).toBeChecked({ timeout: 20_000 });
  await expectAccessible(phone);
  await phone.keyboard.press("Escape");
  const asked = phone.waitForEvent("download");
  await phone.getByRole("button", { name: "Calendar file" }).click();
  expect(await readFile(await (await asked).path(), "utf8")).toMatch(/^BEGIN:VCALENDAR/);
  await device.close();
});

test("two starts of one athlete are one day: from the first to the re-warm of the second", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  const api = await clubApi(page);
  const { athletes } = await (await page.request.get(`${api}/athletes`)).json();
  const tomorrow = new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10);
  const make = async (title: string, time: string) => {
    const startsAt = `${tomorrow}T${time}:00.000Z`;
    const data = {
      ...{ athleteId: athletes[0].id, title, venue: "", zone: "UTC", startsAt },
      readyAt: new Date(Date.parse(startsAt) - 20 * 60_000).toISOString(),
    };
    return (await (await page.request.post(`${api}/starts`, { data })).json()).id as string;
  };
  await make("First round", "10:00");
  const second = await make("Second round", "13:00");
  await page.goto(`/day/${second}`);
  await expect(page.getByRole("list", { name: "Starts of this day" })).toContainText("3 h later");
  // Ten minutes of cool-down, ten for dry clothes; twenty for the re-warm.
  await expect(step(page, /^10:20.*Meal/)).toBeVisible();
  await expect(step(page, /^12:20.*Rest, warm and dry/)).toBeVisible();
  await expect(step(page, /^12:40.*Re-warm/)).toBeVisible();
  await expect(step(page, /Sleep/)).toHaveCount(0);
  await expectAccessible(page);
  // Nothing is copied: it is built, from what is left.
  await expect(page.getByText("The re-warm is still to be built", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Build the re-warm" }).click();
  const filled = page.getByTestId("first-fill");
  await expect(filled.getByText(/^Filled from /)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByTestId("stair").locator("[data-drill]").first()).toBeVisible();
  await saved(page);
  await page.goto(`/day/${second}`);
  await expect(page.getByRole("list", { name: "Starts of this day" })).toBeVisible();
  await expect(page.getByText("still to be built", { exact: false })).toHaveCount(0);
  await page.getByRole("link", { name: "10:00 First round" }).click();
  await expect(step(page, /Sleep/)).toBeVisible();
  await expect(step(page, /^10:00.*Cool down/)).toBeVisible();
});
