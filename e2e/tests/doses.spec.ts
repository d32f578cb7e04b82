import { expect, type Page, test } from "@playwright/test";
import { addDrills, expectAccessible, makeStart, openDemo, saved, stairNames } from "../coach";

test.beforeEach(({ page }) => openDemo(page));

/** Opens the form for a new drill of a kind of dose. */
async function newDrill(page: Page, name: string, kind: string): Promise<void> {
  await page.goto("/shelf");
  await page.getByRole("button", { name: "New drill" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("radio", { name: kind, exact: true }).click();
}

async function press(page: Page, name: string, times: number): Promise<void> {
  for (let i = 0; i < times; i++) await page.getByRole("button", { name, exact: true }).click();
}

const words = (page: Page) => page.getByTestId("dose-words");
const length = (page: Page) => page.getByTestId("dose-length");

test("a lane circuit with metres is made without typing a number, and reads back as a coach says it", async ({
  page,
}) => {
  await newDrill(page, "Lane circuit", "Circuit");
  await page.getByLabel("Movement 1", { exact: true }).fill("Front crawl arms, walking");
  await press(page, "Movement 1 covers: more", 10);
  await press(page, "Movement 1 takes: more", 2);
  await press(page, "Add a movement", 1);
  await page.getByLabel("Movement 3", { exact: true }).fill("Side shuffle");
  await press(page, "Movement 3 covers: more", 10);
  // Two of three movements cover 50 m; the first takes 40 s, the others 30 s, 5 s between, two rounds with 30 s between.
  await expect(words(page)).toHaveText("2 rounds of 3, 30 s between, 100 m a round, 200 m");
  await expect(length(page)).toHaveText("4:10");
  await page.getByLabel("Movement 2", { exact: true }).fill(" ");
  await expect(page.getByText("until then it is Walking, arms loose", { exact: false })).toBeVisible();
  await page.getByLabel("Movement 2", { exact: true }).fill("Walking tall");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText(/2 rounds of 3, 30 s between, 100 m a round, 200 m, 4:10/)).toBeVisible();

  await makeStart(page, "Kaisa Lund", 60);
  await addDrills(page, "Lane circuit");
  await expect(page.getByRole("button", { name: /^Lane circuit, .*2 rounds of 3/ })).toBeVisible();
  await page.getByRole("slider").fill("8");
  await expect(page.getByTestId("given-up")).toContainText("Lane circuit 2 → 1 round");
  await page.getByRole("slider").fill("30");
  await saved(page);
  await page.reload();
  await expect.poll(() => stairNames(page)).toEqual(["Lane circuit"]);
});

test("a gate's time follows the chance of a hit and never passes its cap; partners and sides multiply it", async ({
  page,
}) => {
  await newDrill(page, "Gold at 18 m", "Gate");
  await expect(words(page)).toHaveText("4 hits, at most 4:00");
  const time = async () => (await length(page).textContent()) ?? "";
  const before = await time();
  await press(page, "Chance of a hit: less", 4);
  expect(Number(before.replace(":", ""))).toBeLessThan(Number((await time()).replace(":", "")));
  await page.getByRole("radio", { name: "Hits in a row" }).click();
  await expect(words(page)).toHaveText("4 hits in a row, at most 4:00");
  // Four in a row at 40 % do not come in time: the cap is the time.
  await expect(length(page)).toHaveText("4:00");
  await page.getByRole("radio", { name: "In turn" }).click();
  await expect(length(page)).toHaveText("8:00");
  await page.getByRole("radio", { name: "Alone" }).click();
  await page.getByRole("radio", { name: "Of the last …" }).click();
  await expect(words(page)).toHaveText("4 of the last 6, at most 4:00");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText("4 of the last 6, at most 4:00", { exact: false })).toBeVisible();
});

test("lengths, counts, tempo and slots are set in whole steps", async ({ page }) => {
  await newDrill(page, "Lunges down the mat", "Lengths");
  await expect(words(page)).toHaveText("4 lengths of 25 m there and back, 200 m");
  await page.getByRole("radio", { name: "Walk back" }).click();
  await expect(words(page)).toHaveText("4 lengths of 25 m, walk back, 100 m");
  await page.getByRole("radio", { name: "Counts", exact: true }).click();
  await expect(words(page)).toHaveText("4 × 8 counts at 120 a minute");
  await press(page, "Beats a minute: less", 2);
  await expect(words(page)).toHaveText("4 × 8 counts at 116 a minute");
  await page.getByRole("radio", { name: "Reps", exact: true }).click();
  await page.getByRole("radio", { name: "To a tempo" }).click();
  await expect(words(page)).toHaveText("2 × 8, 2 s down 2 s up, 20 s rest");
  await page.getByRole("radio", { name: "One set every …" }).click();
  await expect(words(page)).toHaveText("2 × 8, 2 s down 2 s up, one every 0:55");
  await page.getByRole("radio", { name: "Each side" }).click();
  await expect(length(page)).toHaveText("3:40");
  await expectAccessible(page);
});

test("a slot for all of it, half seconds, the partner's set as the rest, and a circuit there and back", async ({
  page,
}) => {
  await newDrill(page, "Slow squats", "Reps");
  await page.getByRole("radio", { name: "To a tempo" }).click();
  await press(page, "Down: more", 1);
  await expect(words(page)).toHaveText("2 × 8, 2.5 s down 2 s up, 20 s rest");
  // Two sets of 36 s and 20 s of rest are 92 s: the slot begins at the next five.
  await page.getByRole("radio", { name: "All in a slot" }).click();
  await expect(words(page)).toHaveText("2 × 8, 2.5 s down 2 s up, 23 s rest, in a slot of 1:35");
  await press(page, "The slot: more", 5);
  await expect(words(page)).toHaveText("2 × 8, 2.5 s down 2 s up, 48 s rest, in a slot of 2:00");
  await expect(length(page)).toHaveText("2:00");
  await page.getByRole("radio", { name: "Rest", exact: true }).click();
  await page.getByRole("radio", { name: "In turn" }).click();
  // Two sets of 36 s, each followed by the partner's: 20 s of rest lie within that.
  await expect(length(page)).toHaveText("2:24");

  await page.getByRole("radio", { name: "Circuit", exact: true }).click();
  await page.getByRole("button", { name: "There and back, movement 1" }).click();
  await press(page, "Movement 1 covers, one way: more", 5);
  await expect(words(page)).toHaveText(/, 50 m a round, 100 m$/);
  await expectAccessible(page);

  await page.getByRole("radio", { name: "Gate", exact: true }).click();
  await expect(
    page.getByText(/^\d+\.\d tries on average; planned for \d+, enough for 80 of 100/),
  ).toBeVisible();
});

test("what needs boots waits for them, unless they are on already", async ({ page }) => {
  await makeStart(page, "Kaisa Lund", 60);
  await addDrills(page, "Boots on", "Edges and crossovers");
  // Boots take 6 min at least, and the wait 5.
  await page.getByRole("slider").fill("10");
  const edges = page.getByRole("button", { name: /^Edges and crossovers, / });
  await expect(edges).toHaveAccessibleName(/left out/);
  await page.getByRole("button", { name: /^Boots on, / }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("radio", { name: "Already on" }).click();
  await saved(page);
  await sheet.getByRole("button", { name: "Close" }).click();
  await expect(edges).not.toHaveAccessibleName(/left out/);
  await expect(page.getByRole("button", { name: /^Boots on, kit, already on/ })).toBeVisible();
});
