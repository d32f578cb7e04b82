import { expect, test } from "@playwright/test";
import { addDrills, expectAccessible, makeStart, openDemo, openStart, saved, stairNames } from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

test("the start is moved in two taps, the fit follows, and the move is taken back", async ({ page }) => {
  await page.goto("/");
  const card = page.getByRole("group", { name: /^Noor Whitlock/ });
  await expect(card).toContainText("fits, 30 min available");
  await card.getByRole("button", { name: "Move start" }).click();
  await card.getByRole("button", { name: "−5 min" }).click();
  await expect(card).toContainText("25 min available");
  await expect(card).toContainText("cut to fit");
  await expectAccessible(page);
  // The start list still says what it said.
  await expect(card).toContainText(/on the list \d\d:\d\d/);
  await card.getByRole("button", { name: /^Undo/ }).click();
  await expect(card).toContainText("fits, 30 min available");
  await expect(card).not.toContainText("on the list");

  // Unless the list itself was wrong.
  await card.getByRole("button", { name: "+5 min" }).click();
  await expect(card.getByText(/^The start list says/)).toBeVisible();
  await card.getByRole("button", { name: /^Set the list to/ }).click();
  await expect(card).not.toContainText("list");
});

test("the server goes away while saving: it is said, and the edits outlive a reload", async ({ page }) => {
  await makeStart(page, "Runa Blythe");
  await page.route("**/api/clubs/*/plans/**", (route) => route.abort());
  await addDrills(page, "Leg swings", "Landing holds");
  await expect(page.getByText("The server cannot be reached", { exact: false })).toBeVisible();
  await page.reload();
  await expect(page.getByText("Changes from earlier", { exact: false })).toBeVisible();
  expect(await stairNames(page)).toEqual(["Leg swings", "Landing holds"]);
  await page.unroute("**/api/clubs/*/plans/**");
  await page.getByRole("button", { name: "Save them" }).click();
  await saved(page);
  await page.reload();
  await expect.poll(() => stairNames(page)).toEqual(["Leg swings", "Landing holds"]);
  await expect(page.getByText("Changes from earlier", { exact: false })).toHaveCount(0);
});

test("a new start says what is missing or impossible, beside the field, and keeps what was filled in", {
  tag: "@long",
}, async ({ page }) => {
  await page.goto("/start/new");
  await page.getByRole("radio", { name: "Someone new" }).click();
  await page.getByLabel("Event", { exact: true }).fill("x".repeat(400));
  await page.getByLabel("Time zone of the venue").fill("Europe/Vienna");
  await page.getByLabel("Day", { exact: true }).fill("2027-03-28");
  await page.getByLabel("Start", { exact: true }).fill("02:30");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await expect(page.getByText("at most 120 characters")).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel("Event", { exact: true }).fill("Night final");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await expect(page.getByText("Choose an athlete", { exact: false })).toBeVisible();
  await expect(page.getByText("02:30 does not exist that night", { exact: false })).toBeVisible();
  await page.getByLabel("Their name").fill("Yrsa Holm");
  await page.getByLabel("Day", { exact: true }).fill("2020-01-01");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await expect(page.getByText("That time has passed at the venue", { exact: false })).toBeVisible();
  await page.getByLabel("Day", { exact: true }).fill("2027-03-28");
  await page.getByLabel("Start", { exact: true }).fill("00:10");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await expect(page.getByTestId("stair")).toBeVisible();
  await expect(page.getByText("00:10", { exact: true })).toBeVisible();
  await expect(page.getByText(/Vienna time/)).toBeVisible();
});

test("one minute to go: it says what is short, and the application goes on working", {
  tag: "@long",
}, async ({ page }) => {
  await makeStart(page, "Dagny Frost", 2);
  await addDrills(page, "Easy laps of the corridor", "Edges and crossovers");
  await expect(page.getByText("does not fit")).toBeVisible();
  await expect(page.getByText(/only \d:\d\d left/)).toBeVisible();
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await expect(page.getByRole("dialog")).toContainText("need");
});

test("no connection is said on every screen, and is over when it is over", async ({ page, context }) => {
  await openDemo(page);
  await page.goto("/club");
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  await page.getByRole("link", { name: "Today" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await context.setOffline(true);
  await expect(page.getByTestId("offline")).toContainText("No connection.");
  await page.getByRole("link", { name: "Club" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toHaveCount(0);
  await expect(page.getByTestId("offline")).toBeVisible();
  await expectAccessible(page);
  await context.setOffline(false);
  await expect(page.getByTestId("offline")).toHaveCount(0, { timeout: 15_000 });
});

test("addresses that lead nowhere, and a list that cannot be loaded", { tag: "@long" }, async ({ page }) => {
  await page.goto("/nothing/here");
  await expect(page.getByText("There is nothing at this address")).toBeVisible();
  await page.goto("/start/00000000-0000-4000-8000-000000000000");
  await expect(page.getByText("There is no such start")).toBeVisible();
  await page.route("**/api/clubs/*/starts**", (route) => route.abort());
  await page.goto("/");
  await expect(page.getByText("The server cannot be reached", { exact: false })).toBeVisible({
    timeout: 15_000,
  });
  await page.unroute("**/api/clubs/*/starts**");
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByText("Ilse Marrow").first()).toBeVisible();
});

test("hall dark and the wide layout are accessible too", { tag: "@long" }, async ({ page }) => {
  await page.emulateMedia({ colorScheme: "dark" });
  await page.setViewportSize({ width: 1280, height: 800 });
  await openStart(page, "Tamsin Okoro-Vale");
  await page.getByRole("button", { name: /^Landing holds/ }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Light", exact: true }).click();
  await expectAccessible(page);
});
