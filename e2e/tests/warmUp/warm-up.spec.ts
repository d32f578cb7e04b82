import { expect, type Page, test } from "@playwright/test";
import {
  addDrills,
  editDrill,
  expectAccessible,
  makeStart,
  makeStartByHand,
  openDemo,
  openStart,
  saved,
  stairNames,
} from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

test("Today shows the club's next starts, soonest first, and is accessible", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByText("Aldermere Figure Skating Club")).toBeVisible();
  const next = page.getByRole("group", { name: /^Ilse Marrow, Short/ });
  await expect(next).toContainText(/Begin at \d\d:\d\d, in \d+ min/);
  const demo = ["Ilse Marrow", "Tamsin Okoro-Vale", "Noor Whitlock", "Pia Sandgren", "Bastian Thorne"];
  // Those that are not in sight come one after the other.
  await expect
    .poll(async () => {
      const who = await page
        .getByRole("group")
        .evaluateAll((nodes) => nodes.map((n) => n.getAttribute("aria-label")?.split(", ")[0] ?? ""));
      return who.filter((name) => demo.includes(name));
    })
    .toEqual(demo);
  await expectAccessible(page);
});

test("the stair re-fits as the slider moves and says what was given up", async ({ page }) => {
  await openStart(page, "Ilse Marrow");
  const slider = page.getByRole("slider", { name: "Time available" });
  const line = page.getByTestId("given-up");
  const state = page.getByRole("status").filter({ hasText: /fit|tight/ });

  await slider.fill("45");
  await expect(line).toContainText("Everything fits");
  await expect(state).toHaveText("fits");
  const whole = await page.getByTestId("stair").getByText("left out").count();
  expect(whole).toBe(0);

  await slider.fill("30");
  await expect(line).toHaveText(/^2 cut to fit: Walking lunges 2 sets \(wanted 3\)/);
  await expect(
    page.getByRole("button", { name: /^Walking lunges, 30 %.*2 sets \(wanted 3\)/ }),
  ).toBeVisible();

  await slider.fill("12");
  await expect(state).toHaveText("does not fit");
  await expect(line).toContainText(/^Essentials are .* short/);
  await expect(page.getByRole("button", { name: /^Boots on, kit/ })).toBeVisible();

  await line.click();
  await expect(page.getByRole("dialog")).toContainText("Five more minutes buy");
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);

  await slider.fill("45");
  await expect(line).toContainText("Everything fits");
  await expectAccessible(page);
});

test("a whole warm-up is in sight, and a bar of its rise brings its strip", { tag: "@long" }, async ({
  page,
}) => {
  await openStart(page, "Ilse Marrow");
  await expect(page.getByTestId("judgement")).toBeVisible();
  const stair = await page.getByTestId("stair").boundingBox();
  if (!stair) throw new Error("There is no stair.");
  const strips = await page
    .locator("[data-drill]")
    .evaluateAll((nodes) => nodes.map((n) => n.getBoundingClientRect().bottom));
  expect(strips.filter((bottom) => bottom <= stair.y + stair.height).length).toBeGreaterThanOrEqual(11);
  // Dock and start band together take two fifths at the most.
  expect(844 - (stair.y + stair.height)).toBeLessThanOrEqual(0.4 * 844);
  // From left to right as from top to bottom, as high as it is hard, and the handle where the time begins.
  const bars = page.locator(".rise-slider [data-bar]");
  const shapes = await bars.evaluateAll((nodes) => nodes.map((n) => n.getBoundingClientRect()));
  expect(shapes.map((s) => s.x)).toEqual(shapes.map((s) => s.x).toSorted((a, b) => a - b));
  const last = page.getByRole("button", { name: /^Opening pass, 90 %/ });
  await bars.last().click();
  await expect(last).toHaveAttribute("aria-expanded", "true");
  await expect(last).toBeInViewport();
  await expect(last).toContainText(/reps|attempt/);
  await expect(page.getByRole("dialog")).toHaveCount(0);
  const slider = page.getByRole("slider", { name: "Time available" });
  await expect(slider).toHaveAttribute("aria-valuetext", /^45 min, fits, begins at −45:00$/);
  // More is to the left, under the finger as with the keys.
  const box = await slider.boundingBox();
  if (!box) throw new Error("There is no slider.");
  const at = (share: number) => box.x + 22 + share * (box.width - 44);
  await page.mouse.move(at(0.25), box.y + 10);
  await page.mouse.down();
  await page.mouse.move(at(0.6), box.y + 10, { steps: 5 });
  // The stair follows the finger; what is said of it comes when that rests, held or not.
  await expect(page.getByTestId("given-up")).toContainText("cut to fit");
  const held = await slider.inputValue();
  await expect(page.getByRole("button", { name: `Keep ${held} min` })).toBeVisible();
  await page.mouse.move(at(0.5), box.y + 10, { steps: 5 });
  await page.mouse.up();
  const kept = await slider.inputValue();
  expect(Number(kept)).toBeGreaterThan(Number(held));
  await expect(page.getByRole("button", { name: `Keep ${kept} min` })).toBeVisible();
  await expect(slider).toHaveAttribute("aria-valuetext", new RegExp(`^${kept} min, `));
  await slider.press("ArrowLeft");
  await expect(slider).not.toHaveValue("45");
  await expectAccessible(page);
});

const EIGHT = [
  "Easy laps of the corridor",
  "Skipping, soft feet",
  "Leg swings",
  "Landing holds",
  "Boots on",
  "Edges and crossovers",
  "Waltz jump into back spin",
  "Double jumps",
  "Opening pass",
];

test("a coach builds a warm-up from nothing, and it is all there later", async ({ page }) => {
  await makeStartByHand(page, "Wren Abernathy");
  await addDrills(page, ...EIGHT);
  expect((await stairNames(page)).sort()).toEqual([...EIGHT].sort());

  // Kit stands before the ice, which is not done without it; it can be moved all the same.
  expect(await stairNames(page)).toEqual(EIGHT);
  await page.getByRole("button", { name: /^Boots on/ }).click();
  await page.getByRole("button", { name: "Later" }).click();
  await page.getByRole("button", { name: "Earlier" }).click();
  expect(await stairNames(page)).toEqual(EIGHT);

  const sheet = await editDrill(page, /^Landing holds/);
  await sheet.getByRole("button", { name: "How many reps: more" }).click();
  await sheet.getByRole("button", { name: "Intensity: more" }).click();
  await sheet.getByRole("radio", { name: "Useful" }).click();
  await sheet.getByLabel("Focus", { exact: true }).fill("Quiet upper body");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: /^Landing holds, 40 %, 2 × 6 a side/ })).toBeVisible();

  await page.getByRole("button", { name: /^Skipping, soft feet/ }).click();
  await page.getByRole("button", { name: "Remove" }).click();
  const kept = EIGHT.filter((n) => n !== "Skipping, soft feet");
  expect(await stairNames(page)).toEqual(kept);
  await page.getByRole("button", { name: "Undo" }).click();
  expect(await stairNames(page)).toEqual(EIGHT);
  await saved(page);

  await page.goto("/");
  await openStart(page, "Wren Abernathy");
  expect(await stairNames(page)).toEqual(EIGHT);
  await editDrill(page, /^Landing holds, 40 %, 2 × 6 a side/);
  await expect(page.getByLabel("Focus", { exact: true })).toHaveValue("Quiet upper body");
  await expect(page.getByRole("radio", { name: "Useful" })).toBeChecked();
});

test("a strip opens in its place with what is needed beside the hall, and the rest stays in sight", {
  tag: "@long",
}, async ({ page }) => {
  await makeStart(page, "Solveig Aas");
  await addDrills(page, "Walking lunges", "Leg swings", "Landing holds");
  const strip = page.getByRole("button", { name: /^Walking lunges/ });
  const opened = page.getByTestId("opened");
  await strip.click();
  await expect(strip).toHaveAttribute("aria-expanded", "true");
  await expect(opened).toContainText("Knee over the second toe, never falling in.");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  for (const name of [/^Leg swings/, /^Landing holds/])
    await expect(page.getByRole("button", { name })).toBeInViewport({ ratio: 1 });
  await expectAccessible(page);
  const wanted = (await strip.textContent()) ?? "";
  await opened.getByRole("button", { name: "Less of it" }).click();
  await expect(strip).not.toHaveText(wanted);
  await opened.getByRole("button", { name: "More of it" }).click();
  await expect(strip).toHaveText(wanted);
  await opened.getByRole("button", { name: "Later" }).click();
  expect(await stairNames(page)).toEqual(["Leg swings", "Walking lunges", "Landing holds"]);
  // Another closes it, a second press closes that; what is taken out opens nothing under the thumb.
  await page.getByRole("button", { name: /^Leg swings/ }).click();
  await expect(strip).toHaveAttribute("aria-expanded", "false");
  await page.getByRole("button", { name: /^Leg swings/ }).click();
  await expect(opened).toHaveCount(0);
  await strip.click();
  await opened.getByRole("button", { name: "Remove" }).click();
  await expect(opened).toHaveCount(0);
  expect(await stairNames(page)).toEqual(["Leg swings", "Landing holds"]);
});

/** Waits until a strip has made room for the one that is dragged over it. */
async function givesWay(page: Page, name: string): Promise<void> {
  const strip = page.getByRole("button", { name: new RegExp(`^${name}`) });
  await expect(page.getByRole("listitem").filter({ has: strip })).not.toHaveCSS("transform", "none");
}

test("a strip is dragged to another place", async ({ page }) => {
  await makeStart(page, "Odile Brandt");
  await addDrills(page, "Leg swings", "Walking lunges", "Landing holds");
  const box = async (name: RegExp) => {
    const rect = await page.getByRole("button", { name }).boundingBox();
    if (!rect) throw new Error(`${name} is not on the screen`);
    return { x: rect.x + 40, y: rect.y + rect.height / 2 };
  };
  const [from, to] = [await box(/^Leg swings/), await box(/^Landing holds/)];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y + 20, { steps: 4 });
  await page.mouse.move(to.x, to.y + 10, { steps: 8 });
  await givesWay(page, "Landing holds");
  await page.mouse.up();
  await expect.poll(() => stairNames(page)).toEqual(["Walking lunges", "Landing holds", "Leg swings"]);
});

test("by finger: a held strip is dragged into another part, and by keys back", { tag: "@long" }, async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await openDemo(page);
  await makeStart(page, "Odile the younger");
  await addDrills(page, "Side steps and grapevine", "Leg swings", "Walking lunges");
  const strip = page.getByRole("button", { name: /^Side steps/ });
  const at = async (name: RegExp) => {
    const rect = await page.getByRole("button", { name }).boundingBox();
    if (!rect) throw new Error(`${name} is not on the screen`);
    return { x: rect.x + 40, y: rect.y + rect.height / 2 };
  };
  const [from, to] = [await at(/^Side steps/), await at(/^Leg swings/)];
  const client = await context.newCDPSession(page);
  const touch = (type: "touchStart" | "touchMove" | "touchEnd", point?: { x: number; y: number }) =>
    client.send("Input.dispatchTouchEvent", { type, touchPoints: point ? [point] : [] });
  await touch("touchStart", from);
  // Held long enough, the strip is lifted.
  await expect(page.getByRole("listitem").filter({ has: strip })).toHaveCSS("opacity", "0.75");
  for (let k = 1; k <= 6; k++)
    await touch("touchMove", { x: from.x, y: from.y + ((to.y + 12 - from.y) * k) / 6 });
  await givesWay(page, "Leg swings");
  await touch("touchEnd");
  await expect
    .poll(() => stairNames(page))
    .toEqual(["Leg swings", "Side steps and grapevine", "Walking lunges"]);
  const phase = page.getByRole("radiogroup", { name: "Phase" });
  await editDrill(page, /^Side steps/);
  await expect(phase.getByRole("radio", { name: "Mobilise and activate" })).toBeChecked();
  await page.getByRole("button", { name: "Close" }).click();
  await page.keyboard.press("Alt+ArrowUp");
  expect(await stairNames(page)).toEqual(["Side steps and grapevine", "Leg swings", "Walking lunges"]);
  await saved(page);
  await context.close();
});

test("a drill of one's own is made and added in one go", { tag: "@long" }, async ({ page }) => {
  await makeStart(page, "Ketil Moe");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.getByRole("button", { name: "Make a new drill" }).click();
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText("Give a name.")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill("Hop ladder");
  await page.getByRole("dialog").getByRole("radio", { name: "Mobilise and activate" }).click();
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByRole("button", { name: "Make a new drill" })).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  expect(await stairNames(page)).toEqual(["Hop ladder"]);
  await page.goto("/shelf");
  await expect(page.getByText("Hop ladder")).toBeVisible();
  await expectAccessible(page);
});

test("a step that is too steep is marked and left out, not climbed", { tag: "@long" }, async ({ page }) => {
  await makeStart(page, "Ines Falk");
  // Nothing is no fit, and there is nothing to run.
  await expect(page.getByText("nothing yet", { exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "Run", exact: true })).toHaveCount(0);
  await addDrills(page, "Edges and crossovers", "Double jumps");
  await expect(page.getByTestId("given-up")).toContainText("a steeper step apart");
  const names = page.getByTestId("stair");
  await expect(names.getByText("left out")).toHaveCount(1);
  // Where one of them is not essential, it is no want of time that it is called.
  await editDrill(page, /^Double jumps, /);
  await page.getByRole("radio", { name: "Useful" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByText("fits but for a step", { exact: true })).toBeVisible();
  await expect(page.getByTestId("given-up")).toContainText("Double jumps left out, the step is too steep");
  await addDrills(page, "Waltz jump into back spin");
  await expect(names.getByText("left out")).toHaveCount(0);
});
