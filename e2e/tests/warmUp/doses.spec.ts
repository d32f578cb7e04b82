import { expect, type Locator, type Page, test } from "@playwright/test";
import { addDrills, editDrill, expectAccessible, makeStart, openDemo, saved, stairNames } from "../../coach";

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

test("a lane circuit with metres is made without typing a number, and reads back as a coach says it", {
  tag: "@long",
}, async ({ page }) => {
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
  await expect(page.getByTestId("given-up")).toContainText("Lane circuit 1 round (wanted 2)");
  await page.getByRole("slider").fill("30");
  await saved(page);
  await page.reload();
  await expect.poll(() => stairNames(page)).toEqual(["Lane circuit"]);
});

test("a gate's time follows the chance of a hit and never passes its cap; partners and sides multiply it", {
  tag: "@long",
}, async ({ page }) => {
  await newDrill(page, "Gold at 18 m", "Gate");
  // As long as the two minutes that it was before, and never longer.
  await expect(words(page)).toHaveText("5 hits, at most 2:00");
  await press(page, "Never longer than: more", 4);
  await expect(words(page)).toHaveText("5 hits, at most 4:00");
  const time = async () => (await length(page).textContent()) ?? "";
  const before = await time();
  await press(page, "Chance of a hit: less", 4);
  expect(Number(before.replace(":", ""))).toBeLessThan(Number((await time()).replace(":", "")));
  await page.getByRole("radio", { name: "Hits in a row" }).click();
  await expect(words(page)).toHaveText("5 hits in a row, at most 4:00");
  // Five in a row at 40 % do not come in time: the cap is the time.
  await expect(length(page)).toHaveText("4:00");
  await page.getByRole("radio", { name: "In turn" }).click();
  await expect(length(page)).toHaveText("8:00");
  await page.getByRole("radio", { name: "Alone" }).click();
  await page.getByRole("radio", { name: "Of the last …" }).click();
  await expect(words(page)).toHaveText("5 of the last 7, at most 4:00");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText("5 of the last 7, at most 4:00", { exact: false })).toBeVisible();
});

test("lengths, counts, tempo and slots are set in whole steps", { tag: "@long" }, async ({ page }) => {
  await newDrill(page, "Lunges down the mat", "Lengths");
  await expect(words(page)).toHaveText("3 lengths of 25 m there and back, 150 m");
  await page.getByRole("radio", { name: "Walk back" }).click();
  await expect(words(page)).toHaveText("3 lengths of 25 m, walk back, 75 m");
  await page.getByRole("radio", { name: "Counts", exact: true }).click();
  await expect(words(page)).toHaveText(/^\d+ × 8 counts at 120 a minute$/);
  await press(page, "Beats a minute: less", 2);
  await expect(words(page)).toHaveText(/^\d+ × 8 counts at 116 a minute$/);
  await page.getByRole("button", { name: "Cancel" }).click();
  await newDrill(page, "Squats", "Reps");
  await page.getByRole("button", { name: /s a rep, .* rest$/ }).click();
  await page.getByRole("radio", { name: "To a tempo" }).click();
  await expect(words(page)).toHaveText("3 × 8, 2 s down 2 s up, 20 s rest");
  await page.getByRole("radio", { name: "One set every …" }).click();
  await expect(words(page)).toHaveText("3 × 8, 2 s down 2 s up, one every 0:55");
  await page.getByRole("radio", { name: "Each side" }).click();
  await expect(length(page)).toHaveText("5:30");
  await expectAccessible(page);
});

test("a slot for all of it, half seconds, the partner's set as the rest, and a circuit there and back", {
  tag: "@long",
}, async ({ page }) => {
  await newDrill(page, "Slow squats", "Reps");
  await page.getByRole("button", { name: /s a rep, .* rest$/ }).click();
  await page.getByRole("radio", { name: "To a tempo" }).click();
  await press(page, "Down: more", 1);
  await expect(words(page)).toHaveText("3 × 8, 2.5 s down 2 s up, 20 s rest");
  // Three sets of 36 s and twice 20 s of rest are 148 s: the slot begins at the next five.
  await page.getByRole("radio", { name: "All in a slot" }).click();
  await expect(words(page)).toHaveText("3 × 8, 2.5 s down 2 s up, 21 s rest, in a slot of 2:30");
  await press(page, "The slot: more", 5);
  await expect(words(page)).toHaveText("3 × 8, 2.5 s down 2 s up, 33 s rest, in a slot of 2:55");
  await expect(length(page)).toHaveText("2:55");
  await page.getByRole("radio", { name: "Rest", exact: true }).click();
  await page.getByRole("radio", { name: "In turn" }).click();
  // Three sets of 36 s, each followed by the partner's: 20 s of rest lie within that.
  await expect(length(page)).toHaveText("3:36");

  await page.getByRole("radio", { name: "Circuit", exact: true }).click();
  await page.getByRole("button", { name: "There and back, movement 1" }).click();
  await press(page, "Movement 1 covers, one way: more", 5);
  await expect(words(page)).toHaveText(/, 50 m a round, \d+ m, in turn$/);
  await expectAccessible(page);

  await page.getByRole("radio", { name: "Gate", exact: true }).click();
  await expect(
    page.getByText(/^\d+\.\d tries on average; planned for \d+, enough for 80 of 100/),
  ).toBeVisible();
});

test("what needs boots waits for them, unless they are on already", { tag: "@long" }, async ({ page }) => {
  await makeStart(page, "Kaisa Lund", 60);
  await addDrills(page, "Boots on", "Edges and crossovers");
  // Boots take 6 min at least, and the wait 5.
  await page.getByRole("slider").fill("10");
  const edges = page.getByRole("button", { name: /^Edges and crossovers, / });
  await expect(edges).toHaveAccessibleName(/left out/);
  const sheet = await editDrill(page, /^Boots on, /);
  await sheet.getByRole("radio", { name: "Already on" }).click();
  await saved(page);
  await sheet.getByRole("button", { name: "Close" }).click();
  await expect(edges).not.toHaveAccessibleName(/left out/);
  await expect(page.getByRole("button", { name: /^Boots on, kit, already on/ })).toBeVisible();
});

test("less of a drill is less of it in the plan too, also with minutes to spare, and undone in its sheet", async ({
  page,
}) => {
  await makeStart(page, "Kaisa Lund", 60);
  await addDrills(page, "Easy laps of the corridor");
  const strip = page.getByRole("button", { name: /^Easy laps of the corridor, / });
  const sheet = await editDrill(page, /^Easy laps of the corridor, /);
  const before = (await strip.textContent()) ?? "";
  await press(page, "How long: less", 2);
  await expect(strip).not.toHaveText(before);
  await expect(strip).toContainText("6:00");
  await sheet.getByRole("button", { name: "Undo" }).click();
  await sheet.getByRole("button", { name: "Undo" }).click();
  await expect(strip).toHaveText(before);
  await sheet.getByRole("button", { name: "Close" }).click();
  // Taken back here, done again after leaving and coming back.
  await page.getByRole("button", { name: "Redo" }).click();
  await page.getByRole("button", { name: "Back", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page
    .getByRole("group", { name: /^Kaisa Lund/ })
    .getByRole("link")
    .first()
    .click();
  await expect(page.getByRole("button", { name: "Undo" })).toBeVisible();
});

test("drills are read before they are added, a ladder is made on the way, and nobody there is pointed out", async ({
  page,
}) => {
  await makeStart(page, "Kaisa Lund", 60);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("searchbox", { name: "Find" }).fill("swings");
  await sheet.getByRole("button", { name: "Read Leg swings" }).click();
  await expect(sheet.getByText("Focus", { exact: true })).toBeVisible();
  await sheet.getByRole("button", { name: "Make a ladder" }).click();
  await expect(sheet.getByTestId("made-ladder")).toContainText(/^5 rungs, 15 to 85 %, 20 reps, 4:35/);
  await expect(sheet.getByText(/^All that is wished for takes 4:35/)).toBeVisible();
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Back", exact: true }).click();
  // The list is where it was left.
  await expect(sheet.getByRole("searchbox", { name: "Find" })).toHaveValue("swings");
  await sheet.getByRole("button", { name: "Make a ladder" }).click();
  await sheet.getByRole("button", { name: "Use these rungs" }).click();
  await expect(page.getByTestId("opened")).toBeInViewport();
  await editDrill(page, /^Even climb/);
  await sheet.getByRole("radio", { name: "Attempts", exact: true }).click();
  await sheet.getByRole("radio", { name: "In turn" }).click();
  await sheet.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  await sheet.getByRole("button", { name: "People at hand: less" }).click();
  await sheet.getByRole("button", { name: "Close" }).click();
  // Pointed out at once, on the strip and in the list, with the press that mends it.
  await expect(page.getByRole("button", { name: /^Even climb, .*look at/ })).toBeVisible();
  await page.getByTestId("to-look-at").click();
  await expect(
    sheet.getByText(/Even climb: it takes somebody besides the athlete, and nobody is/),
  ).toBeVisible();
  await sheet.getByRole("button", { name: "Do it alone" }).click();
  await expect(sheet.getByText(/it takes somebody besides/)).toHaveCount(0);
  await sheet.getByRole("button", { name: "Close" }).click();
});

test("a quantity is one line with three marks: moved by keys and by hand, stepped, and typed", {
  tag: "@long",
}, async ({ page }) => {
  await newDrill(page, "Step-ups", "Reps");
  const dialog = page.getByRole("dialog");
  const read = dialog.getByTestId("under").last();
  await expect(read).toHaveText("7 · 8 · 8 reps");
  // By keys: the maximum alone.
  const most = dialog.getByRole("slider", { name: "Maximum reps" });
  await most.focus();
  await most.press("ArrowRight");
  await expect(read).toHaveText("7 · 8 · 9 reps");
  // The stepper is that of the mark taken hold of last.
  await press(page, "Maximum reps: less", 1);
  await expect(read).toHaveText("7 · 8 · 8 reps");
  await dialog.getByRole("slider", { name: "Minimum reps" }).focus();
  await press(page, "Minimum reps: less", 1);
  await expect(read).toHaveText("6 · 8 · 8 reps");
  // What is wanted takes the maximum with it, and the total above tells it at once.
  await dialog.getByRole("slider", { name: "How many reps" }).focus();
  await dialog.getByRole("button", { name: "How many reps: 8, type it" }).click();
  await page.keyboard.type("12");
  await page.keyboard.press("Enter");
  await expect(read).toHaveText("6 · 12 · 12 reps");
  await expect(words(page)).toHaveText(/^3 × 12/);
  // What is no number changes nothing; what is too much stops at the most.
  await dialog.getByRole("button", { name: /^How many reps: 12/ }).click();
  await page.keyboard.type("plenty");
  await page.keyboard.press("Enter");
  await expect(read).toHaveText("6 · 12 · 12 reps");
  await expectAccessible(page);
  // All of it, with the line that tells the total, within half a phone.
  const box = async (of: Locator) => (await of.boundingBox()) ?? { y: 0, height: Infinity };
  const first = await box(dialog.getByRole("group", { name: "How many sets" }));
  const sides = await box(dialog.getByRole("radio", { name: "Better side" }));
  const total = await box(words(page));
  expect(total.height + sides.y + sides.height - first.y).toBeLessThanOrEqual(844 / 2);
});
