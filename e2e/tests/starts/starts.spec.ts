import { expect, type Page, test } from "@playwright/test";
import {
  addDrills,
  closeSaved,
  expectAccessible,
  makeStart,
  openDemo,
  openFilledClub,
  openStart,
  saved,
  somebody,
  stairNames,
} from "../../coach";

const card = (page: Page, name: RegExp) => page.getByRole("group", { name });

async function openSheet(page: Page): Promise<void> {
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
}

test("a start is deleted from its own sheet, which says what goes with it, and is had back for a minute", async ({
  page,
}) => {
  await openDemo(page);
  await makeStart(page, "Signe Halloran", 200);
  await addDrills(page, "Leg swings");
  await saved(page);
  await openSheet(page);
  await page.getByRole("button", { name: "Delete this start" }).click();
  await expect(page.getByText(/its warm-up with all its versions and its links go with it/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByRole("button", { name: "Delete this start" }).click();
  await page.getByRole("button", { name: "Delete it" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await expect(card(page, /^Signe Halloran/)).toHaveCount(0);
  await expect(page.getByText("Deleted: Signe Halloran, Trial skate.")).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await card(page, /^Signe Halloran/)
    .getByRole("link")
    .first()
    .click();
  await expect.poll(() => stairNames(page)).toEqual(["Leg swings"]);
});

test("a start is copied with its warm-up, and the copy moved to another day and another athlete", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Signe Halloran", 200);
  await addDrills(page, "Leg swings", "Landing holds");
  await saved(page);
  await openSheet(page);
  await page.getByRole("button", { name: "Copy this start and its warm-up" }).click();
  // The copy, its sheet open.
  const sheet = page.getByRole("dialog");
  await expect(page).toHaveURL(/sheet=start/);
  await sheet.getByLabel("Event", { exact: true }).fill("Final");
  await sheet.getByLabel("Athlete").selectOption("Noor Whitlock");
  const day = new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10);
  await sheet.getByLabel("Day", { exact: true }).fill(day);
  await sheet.getByLabel("Start", { exact: true }).fill("14:20");
  await sheet.getByLabel("Time zone of the venue").fill("Europe/Helsinki");
  await expectAccessible(page);
  await closeSaved(page);
  await expect(page.getByRole("heading", { name: /Final/ })).toBeVisible();
  await expect.poll(() => stairNames(page)).toEqual(["Leg swings", "Landing holds"]);
  await page.goto("/");
  await expect(card(page, /^Signe Halloran, Trial skate/)).toBeVisible();
  await expect(card(page, /^Noor Whitlock, Final/)).toContainText("14:20");
  await expect(card(page, /^Noor Whitlock, Final/)).toContainText(/45 min available/);
});

test("the next round stands there as if through: one press says which it is, and not through is taken back", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Signe Halloran", 60);
  const addRound = async () => {
    await openSheet(page);
    await page.getByRole("button", { name: "Add the next round, if through" }).click();
    await expect(page).toHaveURL(/sheet=start/);
    await page.goto("/");
  };
  await addRound();
  const round = card(page, /^Signe Halloran, Trial skate, next round/);
  await expect(round).toContainText("If through");
  await expectAccessible(page);
  await round.getByRole("button", { name: /^Not through/ }).click();
  await expect(round).toHaveCount(0);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await round.getByRole("button", { name: /^Through/ }).click();
  await expect(round).not.toContainText("If through");
});

test("a time is taken when it is chosen, a whole move is taken back, also after moving is done", async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/");
  const noor = card(page, /^Noor Whitlock/);
  await expect(noor).toContainText("30 min available");
  await noor.getByRole("button", { name: "Move start" }).click();
  const field = noor.getByLabel("Set time");
  const listed = await field.inputValue();
  const later = (minutes: number) => {
    const [hour = 0, minute = 0] = listed.split(":").map(Number);
    const at = (hour * 60 + minute + minutes + 1440) % 1440;
    return `${String(Math.floor(at / 60)).padStart(2, "0")}:${String(at % 60).padStart(2, "0")}`;
  };
  await field.fill(later(7));
  // Without leaving the field.
  await expect(noor.getByText(`Start moved to ${later(7)}.`)).toBeVisible();
  await noor.getByRole("button", { name: "+5 min" }).click();
  await expect(noor.getByText(`Start moved to ${later(12)}.`)).toBeVisible();
  await noor.getByRole("button", { name: "Done moving" }).click();
  await noor.getByRole("button", { name: `Undo: ${listed}` }).click();
  await expect(noor).toContainText("30 min available");
  await expect(noor).not.toContainText("on the list");
  await expect(noor.getByRole("button", { name: /^Undo/ })).toHaveCount(0);

  // Presses add up, and what does not reach the server counts here until it does.
  await page.route("**/move", (route) => route.abort());
  await noor.getByRole("button", { name: "Move start" }).click();
  for (let i = 0; i < 3; i++) await noor.getByRole("button", { name: "+1 min" }).click();
  await expect(
    noor.getByText(`Moved to ${later(3)} on this device, and sent as soon as the server answers.`),
  ).toBeVisible();
  await page.unroute("**/move");
  await expect(noor.getByText(`Start moved to ${later(3)}.`)).toBeVisible();
  await noor.getByRole("button", { name: `Undo: ${listed}` }).click();
  await expect(noor.getByLabel("Set time")).toHaveValue(listed);
  await expect(noor.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("an assistant who moves the start in a run moves it for everybody", { tag: "@long" }, async ({
  page,
  browser,
}) => {
  await openFilledClub(page);
  await page.goto("/");
  await expect(card(page, /^Noor Whitlock/)).toContainText("30 min available");
  const other = await somebody(page, browser, "assistant");
  await other.goto("/");
  await expect(other.getByRole("button", { name: "New start" })).toHaveCount(0);
  await card(other, /^Noor Whitlock/)
    .getByRole("button", { name: "Run", exact: true })
    .click();
  await other.getByRole("button", { name: "Begin", exact: true }).click();
  await other.getByRole("button", { name: "More", exact: true }).click();
  await other.getByRole("button", { name: "+5 min" }).click();
  await expect(card(page, /^Noor Whitlock/)).toContainText("Running since");
  await expect(card(page, /^Noor Whitlock/)).toContainText(/on the list \d\d:\d\d/);
  // And from Today.
  await other.goto("/");
  await card(other, /^Noor Whitlock/)
    .getByRole("button", { name: "Move start" })
    .click();
  await card(other, /^Noor Whitlock/)
    .getByRole("button", { name: "−5 min" })
    .click();
  await expect(card(page, /^Noor Whitlock/)).not.toContainText("on the list");
  await other.context().close();
});

test("places, windows and fixed points save themselves, also when the sheet is closed at once", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Signe Halloran", 200);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Places, windows, fixed points" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "Add a place" }).click();
  await sheet.getByRole("textbox", { name: "Place 1" }).fill("Mat");
  await sheet.getByRole("button", { name: "Add a window of Mat" }).click();
  await sheet.getByRole("button", { name: "Add a fixed point" }).click();
  await sheet.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Places, windows, fixed points" }).click();
  await expect(sheet.getByRole("textbox", { name: "Place 1" })).toHaveValue("Mat");
  await expect(sheet.getByRole("slider", { name: "Mat opens" })).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Places, windows, fixed points" }).click();
  await expect(sheet.getByRole("textbox", { name: "Place 1" })).toHaveValue("Mat");
});

test("what a role may not do is not there, also by its address; an assistant opens a drill to read", async ({
  page,
  browser,
}) => {
  await openFilledClub(page);
  const assistant = await somebody(page, browser, "assistant");
  for (const address of ["/start/new", "/club/members", "/club/history"]) {
    await assistant.goto(address);
    await expect(assistant.getByRole("heading", { name: "Not for your role" })).toBeVisible();
  }
  await expectAccessible(assistant);
  await assistant.getByRole("link", { name: "To Today" }).click();
  await expect(assistant.getByRole("heading", { name: "Today" })).toBeVisible();
  await assistant.goto("/shelf");
  await expect(assistant.getByRole("button", { name: "New drill" })).toHaveCount(0);
  await assistant.getByRole("button", { name: "Open Leg swings" }).click();
  await expect(assistant.getByRole("dialog")).toContainText("Focus");
  await expect(assistant.getByRole("dialog").getByRole("button", { name: "Save" })).toHaveCount(0);
  await expectAccessible(assistant);
  await assistant.context().close();
});

test("a run that is opened early says when to begin, and is in no log before it is begun", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await openStart(page, "Tamsin Okoro-Vale");
  await page.getByRole("button", { name: "Run", exact: true }).click();
  // Its windows are waited for: begun now, it would only be waited for longer.
  const head = page.getByText(/^Begins in \d+ min$/).first();
  await expect(head).toBeVisible();
  // The face says the same minutes as its head.
  await expect(async () => {
    const minutes = /\d+/.exec(await head.innerText())?.[0];
    await expect(page.getByTestId("too-early").first()).toHaveText(
      new RegExp(`^Begin in ${minutes} min[.;]`),
      {
        timeout: 1_000,
      },
    );
  }).toPass();
  await page.getByRole("button", { name: "Leave" }).click();
  await page.goto("/log");
  await expect(page.getByRole("heading", { name: "Log" })).toBeVisible();
  const rows = page
    .getByRole("listitem")
    .filter({ hasText: "Tamsin Okoro-Vale" })
    .filter({ hasText: "Today" });
  await expect(page.getByRole("listitem").first()).toBeVisible();
  await expect(rows).toHaveCount(0);
  await page.goto("/");
  await card(page, /^Tamsin/)
    .getByRole("link", { name: "Back to the run" })
    .click();
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await page.goto("/log");
  await expect(rows).toHaveCount(1);
});
