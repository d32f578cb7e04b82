import { expect, type Page, test } from "@playwright/test";
import type { StartRow } from "@tonodrome/core/api";
import {
  addDrills,
  closeSaved,
  clubApi,
  editDrill,
  expectAccessible,
  makeStart,
  openDemo,
  openFilledClub,
  openNewClub,
  openStart,
  saved,
  stairNames,
} from "../../coach";

/** Puts a starter shelf up, in one press. */
async function putUp(page: Page, name: string): Promise<void> {
  await page.goto("/shelf");
  await page.getByRole("button", { name: "Starter shelves" }).click();
  await expect(page.getByRole("list", { name: "Starter shelves" })).toContainText(name);
  await expectAccessible(page);
  await page.getByRole("button", { name: `Add ${name} to the shelf` }).click();
  await expect(page.getByText(new RegExp(`^${name}: \\d+ drills added`))).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
}

async function more(page: Page, what: string | RegExp): Promise<void> {
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("dialog").getByRole("button", { name: what }).click();
}

test("a skater's warm-up is filled from an approach, for their event, with reasons; again otherwise, and back", async ({
  page,
}) => {
  // Three warm-ups are sought, each with the real fit inside.
  test.setTimeout(120_000);
  await openNewClub(page, "Skating club");
  await putUp(page, "Figure skating");
  await page.goto("/club/events");
  await page.getByRole("button", { name: "New event" }).click();
  const form = page.getByRole("dialog");
  await form.getByLabel("Name", { exact: true }).fill("Junior short");
  for (const action of ["jump", "spin", "step sequence"]) {
    await form.getByRole("combobox", { name: "Actions it uses" }).fill(action);
    await page.keyboard.press("Enter");
  }
  for (const area of ["Hip", "Knee", "Ankle"]) await form.getByRole("checkbox", { name: area }).click();
  await expectAccessible(page);
  await form.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByRole("list", { name: "Events" })).toContainText("Junior short");

  await makeStart(page, "Signe Halloran");
  await more(page, /^The start/);
  await page.getByLabel("Event type").selectOption("Junior short");
  await closeSaved(page);

  await page.getByRole("button", { name: "Fill it for me" }).click();
  // What each approach would give is seen before it is pressed.
  await expect(page.getByText(/\d+ drills, \d+:\d\d min of movement/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Fill from Even stair" }).click();
  await expect.poll(async () => (await stairNames(page)).length).toBeGreaterThan(6);
  const first = await stairNames(page);
  await expect(page.getByTestId("coverage")).not.toContainText(/jump|spin|step sequence/);
  await page.getByTestId("coverage").click();
  await expect(page.getByRole("list", { name: "Actions" }).getByText("left cold")).toHaveCount(0);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();
  await expect(await editDrill(page, /./)).toContainText("Raises warmth");
  await page.getByRole("button", { name: "Close" }).click();
  await saved(page);

  await more(page, /^Fill it/);
  await page.getByRole("button", { name: "Another version" }).click();
  await expect.poll(() => stairNames(page)).not.toEqual(first);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await stairNames(page)).toEqual(first);
  await page.getByRole("button", { name: "Redo" }).click();
  expect(await stairNames(page)).not.toEqual(first);
  await page.getByRole("button", { name: "Undo" }).click();
  await saved(page);

  // Another start of the same athlete: the same as last time, then a copy.
  await page.goto("/start/new");
  await page.getByRole("radio", { name: "Signe Halloran" }).click();
  await page.getByLabel("Event", { exact: true }).fill("Second day");
  await page.getByLabel("Event type").selectOption("Junior short");
  const later = new Date(Date.now() + 30 * 3_600_000).toISOString();
  await page.getByLabel("Day", { exact: true }).fill(later.slice(0, 10));
  await page.getByLabel("Start", { exact: true }).fill("11:00");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await page.getByRole("button", { name: "Fill it for me" }).click();
  await page.getByRole("button", { name: "The same as last time" }).click();
  // The drills of last time, as far as they serve this one.
  await expect
    .poll(async () => {
      const names = new Set(await stairNames(page));
      return first.filter((name) => names.has(name)).length;
    })
    .toBeGreaterThanOrEqual(first.length - 2);
  await more(page, /^Fill it/);
  await page.getByRole("button", { name: "Copy Trial skate" }).click();
  await expect.poll(() => stairNames(page)).toEqual(first);
  await saved(page);
});

test("a second start of the day is filled as a re-warm, and forecast with what is left of the first", {
  tag: "@long",
}, async ({ page }) => {
  await openFilledClub(page);
  const api = await clubApi(page);
  const { starts } = (await (await page.request.get(`${api}/starts`)).json()) as { starts: StartRow[] };
  const first = starts.find(
    (s) => s.athlete.name === "Ilse Marrow" && Date.parse(s.startsAt) > Date.now(),
  ) as StartRow;
  const later = (minutes: number) => new Date(Date.parse(first.startsAt) + minutes * 60_000).toISOString();
  const [startsAt, readyAt] = [later(50), later(8)];
  const more = {
    athleteId: first.athlete.id,
    title: "Free skate",
    eventId: first.eventId,
    startsAt,
    readyAt,
  };
  await makeStart(page, "Nobody else", 120, more);
  await page.getByRole("button", { name: "Fill it for me" }).click();
  await page.getByRole("button", { name: "Fill from Even stair" }).click();
  await page.getByRole("button", { name: /things? to know/ }).click();
  await expect(page.getByText(/A re-warm, because .* ends \d+ min before this start/)).toBeVisible();
  await page.getByRole("button", { name: "Good" }).click();
  await page.getByTestId("state-line").click();
  await expect(page.getByTestId("done-before")).toHaveText(/up to .*, \d+ min before this start/);
});

test("with no time for the kit the fill asks whether it is on, and goes by the answer", {
  tag: "@long",
}, async ({ page }) => {
  await openNewClub(page, "Trampoline club");
  await putUp(page, "Trampoline");
  await makeStart(page, "Edda Lindqvist", 5);
  await page.getByRole("button", { name: "Fill it for me" }).click();
  const said = page.getByRole("radiogroup", { name: /on already\?$/ });
  await expect(said.getByRole("radio", { name: "On already" })).toBeChecked();
  await expectAccessible(page);
  await said.getByRole("radio", { name: "Still to put on" }).click();
  await page.getByRole("list", { name: "Approaches" }).getByRole("button").first().click();
  const kit = page.getByTestId("stair").getByRole("button", { name: /^Bed shoes/ });
  await expect(kit).not.toContainText("already on");
  await more(page, /^Fill it/);
  await page.getByRole("list", { name: "Approaches" }).getByRole("button").first().click();
  await expect(kit).toContainText("already on");
  await saved(page);
});

test("an archer's gate ladder: generated, changed by hand, seen as rungs in the stair, and run rung by rung", {
  tag: "@long",
}, async ({ page }) => {
  await openNewClub(page, "Archery club");
  await putUp(page, "Archery");
  await makeStart(page, "Edda Lindqvist");
  await addDrills(page, "Gate ladder, near to far");
  const sheet = await editDrill(page, /^Gate ladder, near to far, ladder/);
  await expect(sheet.getByTestId("dose-words")).toHaveText("5 rungs, 20 to 70 %, 10 reps, 18 tries");

  await sheet.getByRole("button", { name: "Make the rungs for me" }).click();
  await sheet.getByRole("radio", { name: "Target by target" }).click();
  const made = sheet.getByTestId("made-ladder");
  await expect(made.getByRole("listitem").first()).toContainText("First target, 15 %");
  await expectAccessible(page);
  // A top below the bottom is said where it is made, and nothing can be taken over then.
  for (let i = 0; i < 15; i++) await sheet.getByRole("button", { name: "Top: less" }).click();
  await expect(made.getByRole("alert")).toContainText("The top may not be below the bottom");
  await expect(sheet.getByRole("button", { name: "Use these rungs" })).toBeDisabled();
  for (let i = 0; i < 12; i++) await sheet.getByRole("button", { name: "Top: more" }).click();
  await sheet.getByRole("combobox", { name: "Targets, in order" }).fill("Near face");
  await page.keyboard.press("Enter");
  await sheet.getByRole("combobox", { name: "Targets, in order" }).fill("Far face");
  await page.keyboard.press("Enter");
  await expect(made.getByRole("listitem").last()).toContainText("Far face, 70 %");
  // Too little time: hits go first, then the top.
  for (let i = 0; i < 12; i++) await sheet.getByRole("button", { name: "Time for it: less" }).click();
  await expect(made).toContainText("Cut to fit");
  for (let i = 0; i < 14; i++) await sheet.getByRole("button", { name: "Time for it: more" }).click();
  await sheet.getByRole("button", { name: "Use these rungs" }).click();

  const rungs = sheet.getByRole("list", { name: "Rungs, first to last" });
  const many = await rungs.getByRole("listitem").count();
  await rungs.getByRole("button").first().click();
  await sheet.getByLabel("Focus", { exact: true }).first().fill("Feel the release");
  await sheet.getByRole("button", { name: "How many hits: more" }).click();
  await sheet.getByRole("button", { name: "Copy the rung" }).click();
  await expect(rungs.getByRole("listitem")).toHaveCount(many + 1);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();
  const strip = page.getByRole("button", { name: /^Gate ladder, near to far, ladder/ });
  await expect(strip).toContainText("Near face, 15 %");
  await expect(strip).toContainText("Far face, 70 %");
  await saved(page);

  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("Feel the release").first()).toBeVisible();
  await expect(page.getByText("Gate ladder, near to far: Near face, 15 %").first()).toBeVisible();
});

test("several drills at once: copied, moved, made a circuit, split again, and a template of it", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Maren Osei");
  await addDrills(page, "Leg swings", "Walking lunges", "Landing holds");
  await more(page, "Choose several drills");
  await page.getByRole("button", { name: /^Leg swings/ }).click();
  await page.getByRole("button", { name: /^Walking lunges/ }).click();
  const several = page.getByRole("group", { name: "Several drills" });
  await expect(several).toContainText("2 chosen");
  await expectAccessible(page);
  await several.getByRole("button", { name: "Later" }).click();
  expect(await stairNames(page)).toEqual(["Landing holds", "Leg swings", "Walking lunges"]);
  await several.getByRole("button", { name: "Circuit" }).click();
  expect(await stairNames(page)).toEqual(["Landing holds", "Circuit: Leg swings, Walking lunges"]);
  await page
    .getByRole("button", { name: /^Circuit/ })
    .first()
    .click();
  await several.getByRole("button", { name: "Split" }).click();
  expect(await stairNames(page)).toEqual(["Landing holds", "Leg swings", "Walking lunges"]);
  await page.getByRole("button", { name: /^Landing holds/ }).click();
  await several.getByRole("button", { name: "Copy" }).click();
  await several.getByRole("button", { name: "Done" }).click();
  expect(await stairNames(page)).toEqual(["Landing holds", "Landing holds", "Leg swings", "Walking lunges"]);
  await page.keyboard.press("u");
  expect(await stairNames(page)).toEqual(["Landing holds", "Leg swings", "Walking lunges"]);
  await page.keyboard.press("r");
  expect(await stairNames(page)).toHaveLength(4);

  await more(page, "Keep as a template");
  await page.getByLabel("Name of the template").fill("Off-ice four");
  await page.getByRole("button", { name: "Keep as a template" }).click();
  await expect(page.getByText("Kept as Off-ice four.")).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  await makeStart(page, "Maren the second");
  await page.getByRole("button", { name: "Fill it for me" }).click();
  await page.getByRole("button", { name: "Use Off-ice four" }).click();
  expect(await stairNames(page)).toEqual(["Landing holds", "Landing holds", "Leg swings", "Walking lunges"]);
  await saved(page);
  await more(page, "Keep as a template");
  await page.getByRole("button", { name: "Delete the template Off-ice four" }).click();
  await expect(page.getByRole("list", { name: "Templates of the club" })).not.toContainText("Off-ice four");
});

test("what is sore is spared in one step, showing what is replaced, and never shown to others", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Ragna Teale");
  await addDrills(page, "Walking lunges", "Landing holds", "Leg swings");
  await saved(page);
  await page.goto("/club/athletes");
  await page.getByRole("button", { name: "Open Ragna Teale" }).click();
  await page.getByRole("checkbox", { name: "Knee" }).click();
  const soon = new Date(Date.now() + 5 * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel("Knee, protect until").fill(soon);
  await page.getByRole("button", { name: "Add a scale" }).click();
  await page.getByRole("button", { name: "Add a step" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Saved.")).toBeVisible();

  await openStart(page, "Ragna Teale");
  await page.getByTestId("to-look-at").click();
  const list = page.getByRole("list", { name: "To look at" });
  await expect(list.getByText(/loads the knee, to be protected on this day/)).toHaveCount(2);
  await expect(list.getByRole("button", { name: /instead$/ })).toHaveCount(2);
  await expectAccessible(page);
  await page.getByRole("button", { name: "Fix all 2 of one kind" }).click();
  await expect(list.getByText(/to be protected/)).toHaveCount(0);
  await page.getByRole("button", { name: "Close" }).click();
  const names = await stairNames(page);
  expect(names).not.toContain("Walking lunges");
  expect(names).not.toContain("Landing holds");
  expect(names).toHaveLength(3);
  expect(new Set(names).size).toBe(3);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await stairNames(page)).toContain("Walking lunges");
  await saved(page);
  const api = await clubApi(page);
  const { starts } = await (await page.request.get(`${api}/starts`)).json();
  expect(JSON.stringify(starts)).not.toMatch(/protectedAreas/);
});

test("an athlete saved by someone else meanwhile is not written over without being asked", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await page.goto("/club/athletes");
  await page.getByRole("button", { name: "New athlete" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Stellan Moor");
  await page.getByRole("button", { name: "Make it and say more" }).click();
  await expect(page.getByRole("heading", { name: "Stellan Moor" })).toBeVisible();
  const api = await clubApi(page);
  const { athletes } = await (await page.request.get(`${api}/athletes`)).json();
  const { id, ...athlete } = athletes.find((a: { name: string }) => a.name === "Stellan Moor");
  const other = { ...athlete, profile: { ...athlete.profile, notes: "Theirs" } };
  expect((await page.request.put(`${api}/athletes/${id}`, { data: other })).ok()).toBe(true);
  await page.getByRole("radio", { name: "Adult" }).click();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("What you changed is still here");
  await expect(page.getByRole("radio", { name: "Adult" })).toBeChecked();
  await page.getByRole("button", { name: "Put mine over it" }).click();
  await expect(page.getByText("Saved.")).toBeVisible();
});

test("the shelf is narrowed down by what is known of drills, and its alternatives are one press away", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await page.goto("/shelf");
  await page.getByRole("button", { name: "More filters" }).click();
  await page.getByRole("group", { name: "Prepares" }).getByRole("checkbox", { name: "spin" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: /^Show \d+ drill/ }).click();
  const list = page.getByRole("list", { name: "Drills" });
  await expect(list).toContainText("Combination spin");
  await expect(list).not.toContainText("Leg swings");

  await makeStart(page, "Vidar Quist");
  await addDrills(page, "Walking lunges");
  await page.getByRole("button", { name: /^Walking lunges/ }).click();
  await expect(page.getByTestId("opened")).toContainText("Knee over the second toe, never falling in.");
  await editDrill(page, /^Walking lunges/);
  await page.getByRole("button", { name: "Instead: Leg swings" }).click();
  await expect(page.getByRole("dialog")).toContainText("Instead of Walking lunges.");
  await page.getByRole("button", { name: "Close" }).click();
  expect(await stairNames(page)).toEqual(["Leg swings"]);
});

test("a shelf's file with a fault says line, field and reason, and installs nothing", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await page.goto("/shelf");
  await page.getByRole("button", { name: "Starter shelves" }).click();
  const drills = [{ key: "hop", name: "Hop", phase: "raise", priority: "useful", intensity: 500 }];
  const file = { format: "tonodrome-shelf", version: 1, key: "ours", name: "Ours", about: "", drills };
  await page.getByLabel("A shelf's file").setInputFiles({
    name: "ours.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(file, null, 1)),
  });
  await expect(page.getByRole("alert")).toContainText(
    /Nothing was installed\. Line 8, drills\.0\.dose: It is missing.*Line 13, drills\.0\.intensity: Intensity is 0 to 100 %/,
  );
});
