import { expect, test } from "@playwright/test";
import {
  beginRun,
  controlClock,
  expectAccessible,
  GATE,
  givePlan,
  makeStart,
  openDemo,
  shareStart,
} from "../../coach";

test.beforeEach(async ({ page }) => {
  await openDemo(page);
  await controlClock(page);
});

test("a gate is counted, opens by itself, and is moved on from when its time is up", async ({ page }) => {
  await makeStart(page, "Liv Harrow", 60);
  await givePlan(page, [GATE, { ...GATE, name: "Gold again" }, { name: "Easy laps" }]);
  await beginRun(page);
  const tally = page.getByTestId("tally").first();
  await expect(tally).toContainText("First try");
  await expect(page.getByRole("timer").first()).toHaveText("0/2");
  const hit = page.getByRole("button", { name: "Hit", exact: true });
  const miss = page.getByRole("button", { name: "Miss", exact: true });
  // The two largest areas there are.
  for (const area of [hit, miss]) {
    const box = await area.boundingBox();
    expect(box && box.width > 150 && box.height > 120).toBe(true);
  }
  await hit.click();
  await expect(page.getByRole("timer").first()).toHaveText("1/2");
  await miss.click();
  await expect(page.getByRole("timer").first()).toHaveText("0/2");
  await expect(tally).toContainText("Try 3");
  await expectAccessible(page);
  await hit.click();
  await hit.click();
  await expect(page.getByText("Gold again").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("timer").first()).toHaveText("1/2");
  await hit.click();
  // The second one does not open: its time runs out.
  await page.clock.fastForward(121_000);
  await expect(tally).toContainText("Time is up: move on");
  await page.getByRole("button", { name: "Move on" }).click();
  await expect(page.getByText("Easy laps").first()).toBeVisible();
});

test("from Today a start is run in two presses, and gone back to", async ({ page }) => {
  await makeStart(page, "Pia Lindqvist", 20);
  await givePlan(page, [{ name: "Easy laps" }, { name: "Skips" }]);
  await page.goto("/");
  const card = page.getByRole("group", { name: /^Pia Lindqvist/ });
  await card.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("1 of 2").first()).toBeVisible();
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await page.goto("/");
  await expect(card.getByRole("button", { name: "Run", exact: true })).toHaveCount(0);
  await card.getByRole("link", { name: "Back to the run" }).click();
  await expect(page.getByText("2 of 2").first()).toBeVisible();
});

test("the start moves: what is left is fitted anew, said in a line, applied at a press and taken back", async ({
  page,
}) => {
  await makeStart(page, "Runa Sedge", 12);
  const extras = ["Arm swings", "Skips", "Side steps"].map((name) => ({ name, priority: "extra" as const }));
  await givePlan(page, [{ name: "Easy laps" }, { name: "Lunges", priority: "essential" }, ...extras]);
  await beginRun(page);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "−5 min" }).click();
  // The sheet stays: a start is often moved by more than one step.
  await expect(page.getByRole("dialog").getByText(/^Start at \d\d:\d\d\.$/)).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  const offer = page.getByTestId("refit");
  await expect(offer).toContainText(/The start is 5 min earlier\..*left out/);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Adjust plan", exact: true }).click();
  await expect(page.getByText(/^Plan adjusted\./).first()).toBeVisible();
  await expect(offer).toHaveCount(0);
  // Today has the start where it was moved to.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(offer).toContainText("The start is 5 min earlier");
  await page.getByRole("button", { name: "Keep plan" }).click();
  await expect(offer).toHaveCount(0);
});

test("behind by more than is wished, a re-fit is offered; at once if that is wished", {
  tag: "@long",
}, async ({ page }) => {
  await makeStart(page, "Odd Marren", 12);
  await givePlan(
    page,
    ["Easy laps", "Lunges", "Arm swings", "Skips"].map((name) => ({ name })),
  );
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("checkbox", { name: "Adjusts the plan at once" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await page.clock.fastForward(330_000);
  await expect(page.getByText(/^Plan adjusted\./).first()).toBeVisible();
  // Taken back it is not applied again by itself, only offered.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("refit")).toContainText("behind");
});

test("back, jump, a drill put in, and taking back any of the last presses", async ({ page }) => {
  await makeStart(page, "Eir Sandvik", 60);
  await givePlan(
    page,
    ["Easy laps", "Lunges", "Skips"].map((name) => ({ name })),
  );
  await beginRun(page);
  const heading = (text: string) => page.getByText(text, { exact: true }).first();
  await page.getByRole("button", { name: "Done" }).click();
  await expect(heading("Lunges")).toBeVisible();
  await page.getByRole("button", { name: "Back", exact: true }).click();
  await expect(page.getByText("1 of 3").first()).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Jump to Skips" }).click();
  await expect(page.getByText("3 of 3").first()).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Insert a drill" }).click();
  await page.getByRole("dialog").getByLabel("Find").fill("Leg swings");
  await page.getByRole("button", { name: "Add Leg swings", exact: true }).click();
  await expect(page.getByText("Next: Leg swings").first()).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Undo: jump" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByText("1 of 4").first()).toBeVisible();
});

test("two athletes at once: a strip to switch, and each keeps its time", { tag: "@long" }, async ({
  page,
}) => {
  await makeStart(page, "Ada Brook", 60);
  await givePlan(page, [{ name: "Easy laps" }]);
  await beginRun(page);
  await page.clock.fastForward(30_000);
  await makeStart(page, "Bo Tarn", 70);
  await givePlan(page, [{ name: "Skips" }]);
  await beginRun(page);
  const strip = page.getByRole("navigation", { name: "Runs under way" });
  await expect(strip.getByRole("link", { name: /Bo Tarn.*Skips/ })).toHaveAttribute("aria-current", "page");
  await strip.getByRole("link", { name: /Ada Brook.*Easy laps/ }).click();
  await expect(page.getByText("Easy laps", { exact: true }).first()).toBeVisible();
  await expect(page.getByRole("timer").first()).toHaveText(/^1:[0-3]\d$/);
  await expectAccessible(page);
});

test("the athlete's own phone follows the run by the shared link", { tag: "@long" }, async ({
  page,
  browser,
}) => {
  const link = await shareStart(page, "Pia Sandgren");
  const context = await browser.newContext();
  const phone = await context.newPage();
  await phone.goto(link);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  const live = phone.getByRole("group", { name: "The run, live" });
  await expect(live).toContainText("Next: ");
  const first = await live.textContent();
  await page.getByRole("button", { name: "Done" }).click();
  await expect(live).not.toContainText((first ?? "").slice(0, 12));
  await expectAccessible(phone);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await expect(live).toHaveCount(0);
  await context.close();
});

test("a wait between is part of the run: it goes on by itself, and the wait before the start says what to do", {
  tag: "@long",
}, async ({ page }) => {
  await makeStart(page, "Una Fell", 30);
  await givePlan(page, [
    { name: "Easy laps", restAfter: { kind: "seconds", seconds: 60 } },
    { name: "Skips" },
  ]);
  await beginRun(page);
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText("Rest", { exact: true }).first()).toBeVisible();
  await page.clock.fastForward(61_000);
  await expect(page.getByText("Skips", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByTestId("prompt").first()).toHaveText("Warm clothes on.");
  await page.clock.fastForward(200_000);
  await expect(page.getByTestId("prompt").first()).toContainText("Keep warm");
  await expectAccessible(page);
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await page.getByRole("button", { name: "Cool down" }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("Cool-down").or(page.getByText("1 of")).first()).toBeVisible();
});

test("the stand-ins follow the run and say that they are simulated; a second screen has no presses", {
  tag: "@long",
}, async ({ page }) => {
  await makeStart(page, "Tyra Moss", 20);
  await givePlan(page, [{ name: "Easy laps" }, { name: "Skips" }]);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("checkbox", { name: "Running order (simulated)" }).click();
  await page.getByRole("checkbox", { name: "Heart-rate strap (simulated)" }).click();
  await page.getByRole("button", { name: "Test", exact: true }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText(/order \(simulated\): \d+ before/).first()).toBeVisible();
  await page.clock.runFor(70_000);
  await expect(page.getByText(/^(\d+ a minute|no contact) \(simulated\)$/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("checkbox", { name: "Display only" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: "Done", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Show the presses" }).click();
  await expect(page.getByRole("button", { name: "Done", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await page.getByRole("button", { name: "Keep it and see the log" }).click();
  await expect(page.getByText(/^Heart rate \d+ to \d+ a minute \(simulated\)\.$/)).toBeVisible();
});

test("lying on its side and in big type everything for the moment is on the screen", {
  tag: "@long",
}, async ({ page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await makeStart(page, "Ylva Strand", 20);
  await givePlan(page, [{ name: "Easy laps of the whole long corridor", focus: "Tall" }]);
  await beginRun(page);
  const inside = async () => {
    for (const part of [page.getByRole("timer").first(), page.getByRole("button", { name: "Done" })]) {
      const box = await part.boundingBox();
      expect(box && box.y >= 0 && box.y + box.height <= 390 && box.x + box.width <= 844).toBe(true);
    }
  };
  await inside();
  const before = (await page.getByRole("timer").first().boundingBox())?.height ?? 0;
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("checkbox", { name: "Big type" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await inside();
  expect((await page.getByRole("timer").first().boundingBox())?.height ?? 0).toBeGreaterThan(before);
  await expectAccessible(page);
});
