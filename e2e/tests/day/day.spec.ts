import { expect, test } from "@playwright/test";
import { realDay } from "../../../core/test/made/realDays";
import {
  closeSaved,
  editDrill,
  expectAccessible,
  givePlan,
  makeStart,
  openDemo,
  openStart,
  saved,
  stairNames,
} from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

test("windows, ways and fixed points stand in the stair, and are edited by dragging and by typing", async ({
  page,
}) => {
  await openStart(page, "Tamsin Okoro-Vale");
  const stair = page.getByTestId("stair");
  await expect(stair.getByText("Ice open −25:00 to −19:00")).toBeVisible();
  await expect(stair.getByText("1:00 free: 1:00 to Ice")).toBeVisible();
  await expect(stair.getByText("No practice after it")).toBeVisible();
  await expectAccessible(page);
  expect(await stairNames(page)).toContain("Opening pass");

  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Places, windows, fixed points" }).click();
  const ice = page.getByRole("group", { name: "Ice", exact: true });
  await expectAccessible(page);
  // Dragged by keys: four minutes later to open, so two minutes of ice.
  await ice.getByRole("slider", { name: "Ice opens" }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowRight");
  await closeSaved(page);
  await expect(stair.getByText("Ice open −21:00 to −19:00")).toBeVisible();
  await expect(page.getByTestId("given-up")).toContainText(
    /Ice is the reason: it would have to open \d+:\d\d earlier/,
  );
  // It also stands in the stair, where it is.
  await expect(stair.getByTestId("conflict")).toHaveText(/^Ice is the reason/);

  // What stands in the way is named, with what it lacks.
  await page.getByTestId("given-up").click();
  await expect(page.getByRole("dialog").getByText(/Ice is the reason/)).toBeVisible();
  await expect(page.getByText("Ice is not open long enough for it.").first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();

  // Typed, and refused where it closes before it opens: nothing is lost.
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Places, windows, fixed points" }).click();
  const closes = ice.getByLabel("Closes", { exact: true });
  const before = await closes.inputValue();
  await closes.fill(await ice.getByLabel("Opens", { exact: true }).inputValue());
  await expect(page.getByText(/closes before it opens.* What you changed is still here/)).toBeVisible();
  await closes.fill(before);
  await ice.getByRole("slider", { name: "Ice opens" }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowLeft");
  await closeSaved(page);
  await expect(stair.getByText("Ice open −25:00 to −19:00")).toBeVisible();
  await expect(stair.getByTestId("conflict")).toHaveCount(0);
});

test("what was given up is traded: another drill goes for it, or it matters more", { tag: "@long" }, async ({
  page,
}) => {
  await openStart(page, "Tamsin Okoro-Vale");
  await page.getByTestId("given-up").click();
  const lunges = page.getByRole("group", { name: /^Walking lunges: / });
  await expect(lunges.getByText("Not enough time")).toBeVisible();
  await lunges.getByRole("button", { name: "Make it essential" }).click();
  await expect(page.getByRole("group", { name: /^Walking lunges: left out/ })).toHaveCount(0);
  await saved(page);
  const landing = page.getByRole("group", { name: /^Axel with full entry: / });
  await landing.getByRole("button", { name: /^Swap something out/ }).click();
  const takeOut = landing.getByRole("button", { name: /^Remove / });
  const nothing = landing.getByText("Nothing that matters less would make room for it.");
  await expect(takeOut.or(nothing)).toBeVisible();
  if (await takeOut.isVisible()) {
    const name = ((await takeOut.textContent()) ?? "").replace("Remove ", "");
    await takeOut.click();
    await page.getByRole("button", { name: "Close" }).click();
    expect(await stairNames(page)).not.toContain(name);
    await saved(page);
  }
});

test("Today says the last moments to begin, for all of it and for the essentials", { tag: "@long" }, async ({
  page,
}) => {
  await page.goto("/");
  const card = page.getByRole("group", { name: /^Noor Whitlock/ });
  await expect(card.getByTestId("latest")).toHaveText(
    /^Latest begin: full \d\d:\d\d, essentials only \d\d:\d\d$/,
  );
});

test("rests, pairs and limits are set in whole steps, and the plan follows", { tag: "@long" }, async ({
  page,
}) => {
  await openStart(page, "Noor Whitlock");
  const sheet = await editDrill(page, /^Single jumps/);
  await sheet.getByRole("button", { name: "Rest, order and room" }).click();
  await sheet
    .getByRole("radiogroup", { name: "Rest after it" })
    .getByRole("radio", { name: "A fixed rest" })
    .click();
  await expect(sheet.getByText("3:00").first()).toBeVisible();
  await sheet.getByLabel("Only after").selectOption({ label: "Edges and crossovers" });
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByTestId("stair").getByText(/3:00 rest after Single jumps/)).toBeVisible();
  await saved(page);

  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Wait, steps and limits" }).click();
  await page.getByRole("button", { name: "Longest general work without a break: more" }).click();
  await expect(page.getByText("1 min", { exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByTestId("given-up")).toContainText(
    "The limit on general work without a break is the reason",
  );
  await saved(page);
  await page.reload();
  await expect(page.getByTestId("stair").getByText(/3:00 rest after Single jumps/)).toBeVisible();

  // And taken back, each where it was set.
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Wait, steps and limits" }).click();
  await page.getByRole("button", { name: "Longest general work without a break: less" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await editDrill(page, /^Single jumps/);
  await sheet.getByRole("radio", { name: "None owed" }).click();
  await sheet.getByLabel("Only after").selectOption({ label: "No drill in particular" });
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByTestId("stair").getByText(/3:00 rest after/)).toHaveCount(0);
  await expect(page.getByRole("status").filter({ hasText: /^fits$/ })).toBeVisible();
  await saved(page);
});

test("a plan whose limits take long says how far it is, and the finger never waits for it", {
  tag: "@long",
}, async ({ page }) => {
  // A minute at a time, for an hour and a half of them.
  test.setTimeout(120_000);
  // Every share that is ever shown, however short.
  await page.addInitScript(() => {
    const shown: string[] = [];
    Object.assign(window, { shown });
    new MutationObserver(() => {
      const bar = document.querySelector("[role=progressbar]");
      const share = bar && `${bar.getAttribute("aria-label")}: ${bar.getAttribute("aria-valuenow")}`;
      if (share && shown.at(-1) !== share) shown.push(share);
    }).observe(document, { subtree: true, childList: true, attributes: true });
  });
  await makeStart(page, "Ottilie Brand");
  const { items, limits, wait, stepPoints } = realDay(30, 39).plan;
  const anywhere = items.map((item) => ({ ...item, place: "" }));
  await givePlan(page, anywhere, { wait, stepPoints, limits: { ...limits, volumePercent: undefined } });
  const shown = () => page.evaluate(() => (window as unknown as { shown: string[] }).shown);
  const every = /^Every time available is being worked out: (\d+)$/;
  const shares = async () => (await shown()).flatMap((s) => Number(every.exec(s)?.[1] ?? Number.NaN) || []);
  await expect.poll(async () => (await shares()).length).toBeGreaterThan(0);
  // The slider moves meanwhile; in the end every time is known and only looked up.
  const slider = page.getByRole("slider", { name: "Time available" });
  await slider.focus();
  await slider.press("ArrowLeft");
  await expect.poll(async () => (await shares()).at(-1), { timeout: 90_000 }).toBeGreaterThan(97);
  await expect(page.getByRole("progressbar")).toHaveCount(0);
  const word = page.getByRole("status").filter({ hasText: /^(fits|tight|does not fit|fitting.*)$/ });
  for (let i = 0; i < 5; i++) {
    await slider.press("ArrowLeft");
    // At once: nothing is waited for.
    expect(await word.innerText()).toMatch(/^(fits|tight)$/);
  }
});
