import { expect, test } from "@playwright/test";
import { formatLength } from "@tonodrome/core";
import { addDrills, clubApi, controlClock, expectAccessible, makeStart, openDemo, saved } from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

/** A timer's text at this many seconds or up to nine fewer: the test's own steps take a moment. */
function near(seconds: number): RegExp {
  const texts = Array.from({ length: 10 }, (_, i) => formatLength(seconds - i));
  return new RegExp(`^(${texts.join("|")})$`);
}

test("a warm-up is run, held, extended, undone, and ends in the log with planned and real times", async ({
  page,
}) => {
  await controlClock(page);
  await makeStart(page, "Marit Quill", 60);
  await addDrills(page, "Easy laps of the corridor", "Leg swings", "Edges and crossovers");
  await saved(page);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await expect(page.getByText("Ready to begin").first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Begin" }).click();

  const timer = page.getByRole("timer").first();
  await expect(timer).toHaveText(near(420));
  await expect(page.getByText("Next: Leg swings").first()).toBeVisible();
  await expect(page.getByText(/ahead$/).first()).toBeVisible();
  await page.clock.fastForward(60_000);
  await expect(timer).toHaveText(near(360));
  await page.getByRole("button", { name: "+30 s" }).click();
  await expect(timer).toHaveText(near(390));
  // Above the ink and below it the same is said.
  await expect(page.getByTestId("ink").getByRole("timer", { includeHidden: true })).toHaveText(near(390));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(timer).toHaveText(near(360));

  await page.getByRole("button", { name: "Hold" }).click();
  await page.clock.fastForward(20_000);
  await expect(timer).toHaveText(near(360));
  await page.getByRole("button", { name: "Resume" }).click();
  await page.clock.fastForward(30_000);
  await expect(timer).toHaveText(near(330));
  await expectAccessible(page);

  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText("2 of 3").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("1 of 3").first()).toBeVisible();
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "Skip" }).click();
  await page.clock.fastForward(45_000);
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText("Wait", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await expectAccessible(page);
  await page.getByRole("radio", { name: "4", exact: true }).click();
  await page.getByLabel("What happened first?").fill("Axel held");
  await page.getByRole("button", { name: "Keep it and see the log" }).click();

  const rows = page.getByRole("listitem");
  await expect(rows.nth(0)).toContainText("Easy laps of the corridor");
  await expect(rows.nth(0)).toContainText(/1:[34]\d/);
  await expect(rows.nth(0)).toContainText("planned 7:00");
  await expect(rows.nth(0)).toContainText(/held 0:2\d/);
  await expect(rows.nth(1)).toContainText("skipped");
  await expect(rows.nth(2)).toContainText(/0:4\d/);
  await expectAccessible(page);

  await page.goto("/log");
  await expect(page.getByRole("listitem").first()).toContainText("Marit Quill");
  await expect(page.getByRole("listitem").first()).toContainText("2 of 3 done, 1 skipped");
  await expectAccessible(page);
});

test("a run goes on without the server, survives a reload, and is sent when the server is back", async ({
  page,
  context,
}) => {
  await makeStart(page, "Tove Lund", 60);
  await addDrills(page, "Easy laps of the corridor", "Leg swings");
  await saved(page);
  await page.route("**/api/clubs/*/runs**", (route) => route.abort());
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("No connection").first()).toBeVisible();
  await page.getByRole("button", { name: "Done" }).click();
  await page.reload();
  await expect(page.getByText("2 of 2").first()).toBeVisible();
  await page.unroute("**/api/clubs/*/runs**");
  await page.getByRole("button", { name: "Done" }).click();

  const run = page.url().split("/").at(-1) ?? "";
  const api = await clubApi(page);
  await expect
    .poll(async () => (await (await context.request.get(`${api}/runs/${run}`)).json()).events?.length)
    .toBe(3);
});

test("a server that answers 500 for a minute is said in a line, and every press is in the log after it", {
  tag: "@long",
}, async ({ page, context }) => {
  await controlClock(page);
  await makeStart(page, "Hedda Storm", 60);
  await addDrills(page, "Easy laps of the corridor", "Leg swings", "Walking lunges");
  await saved(page);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await page.route("**/api/clubs/*/runs**", (route) =>
    route.fulfill({
      status: 500,
      contentType: "application/json",
      body: '{"code":"internal","message":"Trouble."}',
    }),
  );
  await page.getByRole("button", { name: "+30 s" }).click();
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await page.clock.runFor(60_000);
  await expect(
    page.getByText("The server has trouble. Every press is kept here and sent later.").first(),
  ).toBeVisible();
  await page.getByRole("button", { name: "Skip", exact: true }).click();
  await expect(page.getByText("3 of 3").first()).toBeVisible();
  await page.unroute("**/api/clubs/*/runs**");
  await page.clock.runFor(5_000);
  await expect(page.getByText("The server has trouble", { exact: false })).toHaveCount(0);
  const run = page.url().split("/").at(-1) ?? "";
  const api = await clubApi(page);
  const kinds = async () => {
    const { events = [] } = await (await context.request.get(`${api}/runs/${run}`)).json();
    return events.map((e: { kind: string }) => e.kind);
  };
  await expect.poll(kinds).toEqual(["begin", "extend", "done", "skip"]);
});

test("keys run it from a table", { tag: "@long" }, async ({ page }) => {
  await makeStart(page, "Sunniva Rask", 60);
  await addDrills(page, "Easy laps of the corridor", "Leg swings");
  await saved(page);
  await page.getByTestId("stair").click({ position: { x: 5, y: 5 } });
  await page.keyboard.press("Space");
  await expect(page.getByText("Ready to begin").first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByText("1 of 2").first()).toBeVisible();
  await page.keyboard.press("x");
  await expect(page.getByText("2 of 2").first()).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByText("1 of 2").first()).toBeVisible();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog")).toContainText("Hold, and resume");
});

test("on a wide screen the log is a table with the chosen run beside it", { tag: "@long" }, async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto("/log");
  const table = page.getByRole("table", { name: "Runs" });
  const rows = table.getByRole("button");
  await expect(rows.first()).toHaveAttribute("aria-pressed", "true");
  const beside = page.getByRole("region", { name: "The chosen run" });
  await expect(beside.getByRole("list", { name: "Drills" }).getByRole("listitem").first()).toBeVisible();
  const last = rows.last();
  const name = ((await last.getAttribute("aria-label")) ?? "").split(",")[0] ?? "";
  await last.click();
  await expect(last).toHaveAttribute("aria-pressed", "true");
  await expect(beside).toContainText(name);
  await expectAccessible(page);
});
