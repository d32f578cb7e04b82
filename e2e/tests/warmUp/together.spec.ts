import { type BrowserContext, expect, type Page, test } from "@playwright/test";
import {
  addDrills,
  beginRun,
  editDrill,
  expectAccessible,
  makeStart,
  openDemo,
  openFilledClub,
  openStart,
  saved,
  somebody,
  stairNames,
} from "../../coach";

/** A warm-up of one drill, and another tab on it, which does not hear of what others save there. */
async function twoTabs(page: Page, context: BrowserContext): Promise<Page> {
  await openDemo(page);
  await makeStart(page, "Liv Aster");
  await addDrills(page, "Leg swings");
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByTestId("stair")).toBeVisible();
  await other.route("**/api/clubs/*/starts**", (route) => route.abort());
  return other;
}

async function intensity(page: Page, drill: string, way: "less" | "more"): Promise<void> {
  await editDrill(page, new RegExp(`^${drill}, `));
  await page.getByRole("button", { name: `Intensity: ${way}` }).click();
}

test("two coaches change different drills of one warm-up: both are in it, and each takes back only their own", async ({
  page,
  context,
}) => {
  const other = await twoTabs(page, context);
  await addDrills(page, "Single jumps");
  await saved(page);
  await addDrills(other, "Walking lunges");
  await expect(
    other.getByText(/saved this warm-up meanwhile. Their changes and yours are both in it/),
  ).toBeVisible();
  await expect
    .poll(async () => (await stairNames(other)).toSorted())
    .toEqual(["Leg swings", "Single jumps", "Walking lunges"]);
  await saved(other);
  await expectAccessible(other);
  await expect.poll(async () => (await stairNames(page)).length).toBe(3);
  await other.getByRole("button", { name: "Undo" }).click();
  await expect.poll(async () => (await stairNames(other)).toSorted()).toEqual(["Leg swings", "Single jumps"]);
});

test("two who change the same: both versions are shown, over what is open, and one decides", {
  tag: "@long",
}, async ({ page, context }) => {
  const other = await twoTabs(page, context);
  await intensity(page, "Leg swings", "more");
  await page.getByRole("button", { name: "Close" }).click();
  await saved(page);
  await intensity(other, "Leg swings", "less");
  const met = other.getByRole("dialog", { name: "Two of you changed this warm-up" });
  await expect(met).toBeVisible();
  await expect(met.getByRole("listitem")).toContainText("Leg swings: intensity");
  await expect(met.getByRole("listitem")).toContainText(/You.*%.*%/s);
  await expectAccessible(other);
  await met.getByRole("button", { name: "Keep mine in these" }).click();
  await saved(other);
  await expect(other.getByText("Not saved")).toHaveCount(0);
  await other.getByRole("button", { name: "More", exact: true }).click();
  await other.getByRole("button", { name: "Earlier versions" }).click();
  await expect(other.getByRole("dialog")).toContainText("Not saved, made from version");
});

test("a run under way is seen on every device: followed, taken over, and not begun twice by chance", async ({
  page,
  browser,
}) => {
  await openFilledClub(page);
  const other = await somebody(page, browser, "assistant");
  await openStart(page, "Noor Whitlock");
  await beginRun(page);

  await other.goto("/");
  const card = other.getByRole("group", { name: /^Noor Whitlock/ });
  // A run is summed up some seconds after its presses.
  await expect(card.getByTestId("running")).toContainText(/^Running since .*, by /, { timeout: 20_000 });
  await expect(card.getByRole("button", { name: "Run", exact: true })).toHaveCount(0);
  await card.getByRole("link", { name: "Follow the run" }).click();
  await expect(other.getByText(/is running this. You follow/)).toBeVisible();
  await expect(other.getByRole("button", { name: "Done" })).toHaveCount(0);
  await expectAccessible(other);

  await other.getByRole("button", { name: "Take over" }).click();
  await expect(other.getByRole("button", { name: "Done", exact: true }).first()).toBeVisible();
  await expect(page.getByText("Kit Marlowe-Ash is running this. You follow.")).toBeVisible();
  await other.getByRole("button", { name: "Done", exact: true }).first().click();
  // Who follows sees it go on, and takes it back with a press.
  await expect(page.getByText(/^2 of /).first()).toBeVisible();
  await page.getByRole("button", { name: "Take over" }).click();
  await expect(page.getByRole("button", { name: "Skip", exact: true }).first()).toBeVisible();
  await expect(other.getByRole("button", { name: "Take over" })).toBeVisible();
  await other.context().close();
});
