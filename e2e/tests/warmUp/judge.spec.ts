import { expect, test } from "@playwright/test";
import { noDetails } from "@tonodrome/core";
import {
  closeSaved,
  clubApi,
  controlClock,
  expectAccessible,
  givePlan,
  makeStart,
  openFilledClub,
  openStart,
  shareStart,
  somebody,
} from "../../coach";

const timed = (seconds: number) =>
  ({
    kind: "time",
    seconds: { floor: seconds, ideal: seconds, ceiling: seconds },
    step: 30,
    sides: "one",
    changeoverSeconds: 0,
  }) as const;

const NOTHING_KNOWN = noDetails();

test.beforeEach(async ({ page }) => {
  await openFilledClub(page);
});

test("the dock says the state at the start and how much there is to look at, and both follow the slider", async ({
  page,
}) => {
  await openStart(page, "Ilse Marrow");
  const line = page.getByTestId("state-line");
  await expect(line).toHaveText(/warm.*, sharp, fresh/);
  const before = await page.getByTestId("to-look-at").textContent();
  const slider = page.getByRole("slider", { name: "Time available" });
  await slider.fill("6");
  await expect(line).toHaveText(/by the start|not sharp/);
  await expect(page.getByTestId("to-look-at")).toHaveText(/stop/);
  await slider.fill("45");
  await expect(page.getByTestId("to-look-at")).toHaveText(before ?? "");
  // An edit as well: without the hard effort nothing is sharp.
  await page.getByRole("button", { name: /^Opening pass, / }).click();
  await page.getByRole("button", { name: /^(Remove|Take .*out)/ }).click();
  await expect(line).not.toHaveText(/, sharp/);
});

test("the forecast has three lanes, what happens if it is late, and what it rests on", {
  tag: "@long",
}, async ({ page }) => {
  await openStart(page, "Ilse Marrow");
  await page.getByTestId("state-line").click();
  const sheet = page.getByRole("dialog", { name: "At the start" });
  for (const lane of ["Warmth", "Sharpness", "Tiredness"])
    await expect(sheet.getByRole("img", { name: `${lane}, drawn` })).toBeVisible();
  await expect(sheet.getByRole("row")).toHaveCount(7);
  await expect(sheet.getByTestId("lane-sharpness")).toHaveText("sharp");
  const slip = sheet.getByRole("slider", { name: "If the start slips" });
  await slip.fill("30");
  await expect(sheet.getByTestId("slip")).toContainText("30 min late");
  await expect(sheet.getByTestId("lane-sharpness")).toHaveText("no longer sharp");
  await expect(sheet.getByText(/^Late by 40 min\? .*(back|worth it)/)).toBeVisible();
  await slip.fill("-5");
  await expect(sheet.getByTestId("slip")).toContainText("5 min early");
  await expect(sheet.getByText(/The wait that suits this plan best is \d+ to \d+ min/)).toBeVisible();
  await sheet.getByRole("button", { name: "What this rests on" }).click();
  await expect(sheet.getByText(/Mohr 2004/).first()).toBeVisible();
  await expect(sheet.getByText(/Nothing of it is fitted to this athlete/)).toBeVisible();
  await expectAccessible(page);
});

test("what there is to look at is shown, mended with one press and taken back, and set aside for everybody", async ({
  page,
  browser,
}) => {
  await makeStart(page, "Ronja Field");
  await givePlan(page, [
    { name: "Jog", priority: "essential", intensity: 40, dose: timed(600) },
    { name: "Swings", phase: "mobilise", intensity: 30, dose: timed(240) },
    { name: "Edges", phase: "technical", intensity: 30, focus: "tall", dose: timed(60) },
    { name: "Axel", phase: "technical", intensity: 60, focus: "tall", dose: timed(60) },
  ]);
  // A mark on the strip that is a word.
  await expect(page.getByRole("button", { name: /^Axel, .*look at it$/ })).toBeVisible();
  await page.getByTestId("to-look-at").click();
  const sheet = page.getByRole("dialog", { name: "To look at" });
  const steep = page.getByText(/^Look at: 30 points up from Edges/);
  await expect(steep).toBeVisible();
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Lower it to 50 %" }).click();
  await expect(steep).toHaveCount(0);
  await sheet.getByRole("button", { name: "Undo it" }).click();
  await expect(steep).toBeVisible();
  // Shows the strip.
  await sheet.getByRole("listitem").filter({ has: steep }).getByRole("button", { name: "Show it" }).click();
  await expect(page.getByRole("button", { name: /^Axel, / })).toBeFocused();
  await page.getByTestId("to-look-at").click();
  await sheet.getByRole("listitem").filter({ has: steep }).getByRole("button", { name: "I know" }).click();
  await expect(steep).toHaveCount(0);
  // Nothing else is left to look at, so what was set aside is in sight.
  await expect(sheet.getByRole("button", { name: "Set aside: 1" })).toBeVisible();
  await sheet.getByRole("textbox", { name: "Why, if you like" }).fill("She asked for it");
  await closeSaved(page).catch(() => page.getByRole("button", { name: "Close" }).click());
  const url = page.url();
  const coach = await somebody(page, browser, "coach");
  await expect(async () => {
    await coach.goto(url);
    await coach.getByTestId("to-look-at").click({ timeout: 5000 });
    await expect(coach.getByRole("textbox", { name: "Why, if you like" })).toHaveValue("She asked for it", {
      timeout: 2000,
    });
  }).toPass();
  await coach.getByRole("button", { name: "Look at it again" }).click();
  await expect(coach.getByText(/^Look at: 30 points up from Edges/)).toBeVisible();
  await coach.context().close();
});

test("a hot day is set with a few presses, copied to the other starts, and changes what is said", {
  tag: "@long",
}, async ({ page }) => {
  // Tomorrow at noon: one day, whatever the hour at which the story is told.
  const noon = new Date(Date.now() + 86_400_000).setHours(12, 0, 0, 0);
  const until = Math.round((noon - Date.now()) / 60_000);
  const venue = "Sunny Yard";
  for (const [k, name] of ["Rikke Holm", "Sanna Weir"].entries()) {
    await makeStart(page, name, until + 20 * k, { venue });
    await givePlan(page, [
      { name: "Jog", priority: "essential", intensity: 60, dose: timed(240) },
      { name: "Strides", phase: "prime", priority: "essential", intensity: 75, dose: timed(30) },
    ]);
  }
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  const sheet = page.getByRole("dialog", { name: "The start" });
  await sheet.getByRole("radio", { name: "Outdoors" }).click();
  await sheet.getByRole("radio", { name: "30 °" }).click();
  await sheet.getByRole("radio", { name: "In the sun" }).click();
  await expect(sheet.getByText("Saved", { exact: true })).toBeVisible();
  await sheet.getByRole("button", { name: "Copy the weather to the other start here today" }).click();
  await expect(sheet.getByText("Copied to 1.")).toBeVisible();
  await sheet.getByRole("button", { name: "Close" }).click();
  await page.getByTestId("to-look-at").click();
  const list = page.getByRole("list", { name: "To look at" });
  await expect(list.getByText(/Wet-bulb globe about 29 °C in the shade, more in the sun/)).toBeVisible();
  await list
    .getByRole("button", { name: /^In the shade/ })
    .first()
    .click();
  await expect(list.getByText(/Wet-bulb globe/)).toHaveCount(0);
  await page.getByRole("button", { name: "Close" }).click();
  await openStart(page, "Rikke Holm");
  await page.getByTestId("to-look-at").click();
  await expect(list.getByText(/Wet-bulb globe about 29 °C/)).toBeVisible();
});

test("a club's own figures hold at once, and go back to what is usual", { tag: "@long" }, async ({
  page,
}) => {
  await page.goto("/club/figures");
  const row = page.getByRole("listitem").filter({ hasText: "Too short" });
  await row.getByRole("button", { name: "Work before any: more" }).click();
  await expect(page.getByText("1 of your own.")).toBeVisible();
  await expect(row.getByText("5 min", { exact: false }).first()).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await row.getByRole("button", { name: "Usual: 4 min" }).click();
  await expect(page.getByText("All as usual.")).toBeVisible();
  const { figures } = await (await page.request.get(`${await clubApi(page)}/figures`)).json();
  expect(figures).toEqual([]);
});

test("Today and a shared page say the state at the start, and a shared page nothing of health", {
  tag: "@long",
}, async ({ page, browser }) => {
  await page.goto("/");
  const card = page.getByRole("group", { name: /^Ilse Marrow/ });
  await expect(card.getByTestId("state")).toHaveText(/^At the start: warm/);
  const link = await shareStart(page, "Ilse Marrow");
  const other = await (await browser.newContext()).newPage();
  await other.goto(link);
  await expect(other.getByTestId("state")).toHaveText(/^At the start: warm/);
  await expect(other.getByText(/look at|spared|stop/i)).toHaveCount(0);
  await other.context().close();
});

test("a run says how long they stay warm, and offers a top-up when the start slips", {
  tag: "@long",
}, async ({ page }) => {
  await controlClock(page);
  await makeStart(page, "Ronja Field", 40);
  await givePlan(
    page,
    [
      { name: "Jog", priority: "essential", intensity: 60, dose: timed(900) },
      { name: "One strong jump", phase: "prime", priority: "essential", intensity: 92, dose: timed(30) },
    ],
    { stepPoints: 100, wait: { leastSeconds: 120, longestSeconds: 3600 } },
  );
  await page.getByRole("button", { name: "Run", exact: true }).click();
  // Long before its time: what begins now waits long.
  await expect(page.getByTestId("too-early").first()).toHaveText(
    /^Begin in \d+ min; begun now, \d+ min of waiting: .*\.$/,
  );
  await page.clock.fastForward("15:00");
  await page.getByRole("button", { name: "Begin" }).click();
  await page.clock.fastForward("15:00");
  await page.getByRole("button", { name: "Done" }).first().click();
  await page.clock.fastForward("00:30");
  await page.getByRole("button", { name: "Done" }).first().click();
  await page.clock.runFor(2000);
  await expect(page.getByTestId("warm-until").first()).toHaveText(/^Still warm until about \d\d:\d\d\.$/);
  await page.getByRole("button", { name: "More", exact: true }).first().click();
  for (let i = 0; i < 4; i++) await page.getByRole("button", { name: "+5 min" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  const offer = page.getByTestId("refit");
  await expect(offer).toContainText(/The start is 20 min later\. .*min of .* back\./);
  await offer.getByRole("button", { name: "Adjust plan" }).click();
  // A wait until the top-up's own time, and then it.
  await expect(page.getByText("Warm clothes on, until the top-up").first()).toBeVisible();
});

test("what concerns harm is shown once before it is run, and locks nothing", { tag: "@long" }, async ({
  page,
}) => {
  await makeStart(page, "Ronja Field");
  await givePlan(
    page,
    [
      { name: "Jog", priority: "essential", intensity: 40, dose: timed(600) },
      {
        name: "Throw",
        phase: "technical",
        priority: "essential",
        intensity: 90,
        dose: timed(30),
        details: {
          ...NOTHING_KNOWN,
          actions: ["throw"],
          areas: ["shoulder"],
        },
      },
    ],
    { stepPoints: 100 },
  );
  await expect(page.getByTestId("to-look-at")).toHaveText(/^1 stop/);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  const sheet = page.getByRole("dialog", { name: "Before you run" });
  await expect(sheet.getByText(/so fast a ramp hurts the shoulder/)).toBeVisible();
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await expect(page.getByRole("button", { name: "Begin" })).toBeVisible();
});
