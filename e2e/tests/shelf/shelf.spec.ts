import { expect, type Page, test } from "@playwright/test";
import { addDrills, editDrill, expectAccessible, makeStart, openDemo, saved } from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

/** Makes a drill of 2:00 on the shelf. */
async function make(page: Page, name: string): Promise<void> {
  await page.goto("/shelf");
  await page.getByRole("button", { name: "New drill" }).click();
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText(name, { exact: true })).toBeVisible();
}

const open = (page: Page, name: string) =>
  page.getByRole("button", { name: `Open ${name}`, exact: true }).click();

test("a drill is changed on the shelf; a warm-up keeps it as it was until it takes the shelf's", async ({
  page,
}) => {
  await make(page, "Corner hops");
  await makeStart(page, "Runa Blythe", 90);
  await addDrills(page, "Corner hops");
  await saved(page);

  await page.goto("/shelf");
  await page.getByLabel("Find").fill("corner");
  await open(page, "Corner hops");
  const sheet = page.getByRole("dialog");
  await expect(sheet).toContainText("In 1 warm-up, which keep it as it was");
  await sheet.getByRole("button", { name: "How long: more" }).click();
  await sheet.getByLabel("Focus", { exact: true }).fill("Land softly");
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/2:30, in 1 warm-up/)).toBeVisible();
  await page.getByLabel("Order").selectOption("Changed last");
  await expect(page.getByRole("listitem").first()).toContainText("Corner hops");

  await page.goto("/");
  await page
    .getByRole("group", { name: /^Runa Blythe/ })
    .getByRole("link")
    .first()
    .click();
  await editDrill(page, /^Corner hops, 20 %, 2:00/);
  await expect(page.getByText("This drill was changed on the shelf", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Take the shelf's" }).click();
  await expect(page.getByText("was changed on the shelf", { exact: false })).toHaveCount(0);
  await expect(page.getByLabel("Focus", { exact: true })).toHaveValue("Land softly");
  await page.getByRole("button", { name: "Close" }).click();
  await expect(page.getByRole("button", { name: /^Corner hops, 20 %, 2:30/ })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /^Corner hops, 20 %, 2:00/ })).toBeVisible();
});

test("a drill is copied, taken off the shelf and put back", { tag: "@long" }, async ({ page }) => {
  await make(page, "Mirror steps");
  await open(page, "Mirror steps");
  await page.getByRole("button", { name: "Copy", exact: true }).click();
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Mirror steps, copy");
  await page.getByLabel("Name", { exact: true }).fill("Mirror steps, slow");
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText("Mirror steps, slow")).toBeVisible();

  // The whole line opens it, not only the sign at its end.
  await page.getByText("Mirror steps", { exact: true }).click();
  await page.getByRole("button", { name: "Take off the shelf" }).click();
  await expect(page.getByText("Mirror steps", { exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "More filters" }).click();
  await page.getByRole("radio", { name: "Off the shelf" }).click();
  await page.getByRole("button", { name: /^Show \d+ drill/ }).click();
  await open(page, "Mirror steps");
  await page.getByRole("button", { name: "Put back on the shelf" }).click();
  await page.getByRole("button", { name: "More filters, 1 set" }).click();
  await page.getByRole("button", { name: "Show everything" }).click();
  await page.getByRole("button", { name: /^Show \d+ drill/ }).click();
  await expect(page.getByText("Mirror steps", { exact: true })).toBeVisible();
  await expectAccessible(page);
});

test("two who change one drill: the second is told, keeps what they typed, and decides", {
  tag: "@long",
}, async ({ page, context }) => {
  await make(page, "Wall sits");
  await open(page, "Wall sits");
  const other = await context.newPage();
  await other.goto("/shelf");
  await open(other, "Wall sits");
  await other.getByRole("dialog").getByLabel("Place").fill("Corridor");
  // The first page does not hear of it in time.
  await page.route("**/api/clubs/*/drills", (route) => route.abort());
  await other.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await expect(other.getByRole("dialog")).toHaveCount(0);
  await page.getByRole("dialog").getByLabel("Place").fill("Gym");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Someone else saved this drill", { exact: false })).toBeVisible();
  await expect(page.getByRole("dialog").getByLabel("Place")).toHaveValue("Gym");
  await page.unroute("**/api/clubs/*/drills");
  await other.close();
});

test("on a wide screen a drill stands beside the list, and is changed from there", { tag: "@long" }, async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto("/shelf");
  const beside = page.getByRole("region", { name: "The chosen drill" });
  await expect(beside.getByRole("heading")).toBeVisible();
  await open(page, "Single jumps");
  await expect(beside.getByRole("heading", { name: "Single jumps" })).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await expectAccessible(page);
  await beside.getByRole("button", { name: "Change Single jumps" }).click();
  await page.getByRole("dialog").getByLabel("Name", { exact: true }).fill("Single jumps, quiet");
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await expect(beside.getByRole("heading", { name: "Single jumps, quiet" })).toBeVisible();
});
