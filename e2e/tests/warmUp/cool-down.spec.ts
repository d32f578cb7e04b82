import { expect, type Page, test } from "@playwright/test";
import { beginRun, expectAccessible, givePlan, makeStart, openDemo, saved } from "../../coach";

const openCoolDown = async (page: Page) => {
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^Cool-down/ }).click();
  return page.getByRole("dialog");
};

/** Runs the warm-up that is open, and ends it. */
async function runToTheEnd(page: Page): Promise<void> {
  await beginRun(page);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
}

test("the cool-down goes by the event and by how much it took, and runs", async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Una Fell", 30);
  await givePlan(page, [{ name: "Easy laps" }]);
  const sheet = await openCoolDown(page);
  await expect(sheet.getByRole("status")).toContainText("as usual after its event");
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await runToTheEnd(page);
  await expect(page.getByTestId("cool-down")).toContainText("Brisk movement 4:00");
  await expect(page.getByRole("button", { name: "Cool down, 10 min" })).toBeVisible();
  await page.getByRole("radio", { name: "Everything" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Cool down, 12 min" }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("Brisk movement", { exact: true }).first()).toBeVisible();
});

test("one set by hand counts: its steps are changed, moved and taken out, and it goes back to the usual", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await makeStart(page, "Tyra Moss", 30);
  await givePlan(page, [{ name: "Easy laps" }]);
  const start = page.url();
  const sheet = await openCoolDown(page);
  const steps = sheet.getByRole("list", { name: "Steps of the cool-down" }).getByRole("listitem");
  await steps.first().getByRole("button").first().click();
  await steps.first().getByLabel("Name").fill("Walk round the rink");
  await steps.first().getByRole("button", { name: "Length: less" }).click();
  await expect(sheet.getByRole("status")).toContainText("as set here");
  await steps.first().getByRole("button", { name: "Later" }).click();
  await expect(steps.nth(1)).toContainText("Walk round the rink");
  await steps.nth(1).getByRole("button", { name: "Earlier" }).click();
  const many = await steps.count();
  await steps.last().getByRole("button").first().click();
  await steps.last().getByRole("button", { name: "Remove" }).click();
  await expect(steps).toHaveCount(many - 1);
  await page.keyboard.press("Escape");
  await saved(page);
  await page.reload();
  await runToTheEnd(page);
  await expect(page.getByTestId("cool-down")).toContainText("as you set it: Walk round the rink 3:30");
  // Somebody set it: how much it took is not asked.
  await expect(page.getByRole("radio", { name: "Everything" })).toHaveCount(0);
  await page.goto(start);
  const again = await openCoolDown(page);
  await again.getByRole("button", { name: "Back to the usual one" }).click();
  await expect(again.getByRole("status")).toContainText("as usual");
});
