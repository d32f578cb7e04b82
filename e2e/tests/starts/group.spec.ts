import { randomUUID } from "node:crypto";
import { expect, type Page, test } from "@playwright/test";
import { type Called, noDetails, usualSetting } from "@tonodrome/core";
import {
  beginRun,
  clubApi,
  controlClock,
  expectAccessible,
  givePlan,
  makeStart,
  openNewClub,
  shareStart,
} from "../../coach";

/** As many as a class of children has. */
const NAMES = Array.from({ length: 23 }, (_, i) => `Child ${String(i + 1).padStart(2, "0")} of Harbour Hall`);

const CALLED: Called = {
  movements: [
    { name: "star jumps", counts: 4 },
    { name: "touch the floor", counts: 4 },
  ],
  gapFrom: 10,
  gapTo: 10,
};

/** A start of twenty-four as one group, with a shared drill in which movements are called, and a ladder of their own. */
async function makeGroup(page: Page): Promise<void> {
  const api = await clubApi(page);
  const ids = await Promise.all(
    NAMES.map(async (name) => {
      const id = randomUUID();
      const made = await page.request.post(`${api}/athletes`, { data: { id, name } });
      expect(made.ok()).toBe(true);
      return id;
    }),
  );
  await makeStart(page, "Odalys Brandt", 60, { setting: { ...usualSetting(), group: ids } });
  await givePlan(page, [
    { name: "Easy jog", details: { ...noDetails(), called: CALLED } },
    { name: "Straight jumps", phase: "technical", intensity: 40 },
  ]);
}

const names = (page: Page, side: string) => page.getByRole("dialog").getByRole("group", { name: side });

test("one press moves twenty-four on; who is missing, and who sat out what, is marked by name and stands in the log", {
  tag: "@long",
}, async ({ page }) => {
  await controlClock(page);
  await openNewClub(page, "Harbour Juniors");
  await makeGroup(page);
  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Odalys Brandt/ })).toContainText("Group of 24");
  await page.getByRole("link", { name: "Warm-up" }).first().click();
  await beginRun(page);

  // Who is there: all, until somebody is pressed who is not.
  const strip = page.getByRole("button", { name: /^All together, all 24 there/ });
  await strip.click();
  const there = names(page, "Who is there");
  await expect(there.getByRole("button")).toHaveCount(24);
  await expectAccessible(page);
  await there.getByRole("button", { name: /^Child 07/ }).click();
  await there.getByRole("button", { name: /^Child 12/ }).click();
  await expect(page.getByRole("dialog").getByText("22 of 24 there.", { exact: false })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: /^All together, 22 of 24 there/ })).toBeVisible();

  // The phone calls, at its own times.
  const call = page.getByTestId("call").first();
  await expect(call).toHaveText("1 star jumps (4), 2 touch the floor (4)");
  await page.clock.runFor(11_000);
  await expect(call).toHaveText(/^[12]: (star jumps|touch the floor), [12] of 4$/);
  await expectAccessible(page);

  // One press for all; then each their own.
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await page.getByRole("button", { name: /^Each their own, 0 of 22 done/ }).click();
  const step = names(page, "This drill");
  // Whoever is missing is not marked.
  await expect(step.getByRole("button")).toHaveCount(22);
  await step.getByRole("button", { name: /^Child 01/ }).click();
  await step.getByRole("button", { name: /^Child 02/ }).click();
  await step.getByRole("button", { name: /^Child 02/ }).click();
  await expect(step.getByRole("button", { name: /^Child 01.*, done$/ })).toHaveAttribute(
    "aria-pressed",
    "true",
  );
  await expect(step.getByRole("button", { name: /^Child 02.*, sits out$/ })).toBeVisible();
  await page.getByRole("button", { name: "Done for all, next drill" }).click();
  await expect(page.getByText("Wait", { exact: true }).first()).toBeVisible();

  // In the log as it was.
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
  await page.getByRole("button", { name: "Keep it and see the log" }).click();
  const group = page.getByTestId("group");
  await expect(group).toContainText(
    "Group of 24, 22 there; missing: Child 07 of Harbour Hall and Child 12 of Harbour Hall.",
  );
  await expect(group).toContainText("Child 02 of Harbour Hall sat out: Straight jumps.");
});

test("a group is chosen where the start is, and a link tells how many they are, not who", {
  tag: "@long",
}, async ({ page }) => {
  await openNewClub(page, "Harbour Juniors");
  const api = await clubApi(page);
  for (const name of ["Mirko Sand", "Ines Vantongeren"])
    expect((await page.request.post(`${api}/athletes`, { data: { id: randomUUID(), name } })).ok()).toBe(
      true,
    );
  await makeStart(page, "Odalys Brandt", 60);
  await givePlan(page, [{ name: "Easy jog" }]);
  await page.goto(`${page.url()}?sheet=start`);
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "Warms up in a group" }).click();
  await sheet.getByRole("checkbox", { name: "Mirko Sand" }).click();
  await expect(sheet.getByRole("button", { name: "Warms up in a group of 2" })).toBeVisible();
  await sheet.getByRole("button", { name: "All of the club" }).click();
  await expect(sheet.getByRole("button", { name: "Warms up in a group of 3" })).toBeVisible();
  await expect(sheet.getByRole("status").first()).toHaveText("Saved");
  const link = await shareStart(page, "Odalys Brandt");
  await page.context().clearCookies();
  await page.goto(link);
  await expect(page.getByText("In a group of 3, led by the coach.")).toBeVisible();
  const token = link.split("/").at(-1);
  const shared = await (await page.request.get(`/api/shared/${token}`)).text();
  expect(shared).not.toContain("Mirko");
});

test("what is called in a drill is written on the shelf, and stands wherever the drill is read", {
  tag: "@long",
}, async ({ page }) => {
  await openNewClub(page, "Harbour Juniors");
  const api = await clubApi(page);
  await page.request.post(`${api}/starters`, { data: { key: "general-preparation" } });
  await page.goto("/shelf");
  await page.getByLabel("Find").fill("numbers called");
  await page.getByRole("button", { name: /^Open Easy jog, numbers called/ }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "What else is known of it" }).click();
  const called = sheet.getByRole("list", { name: "Movements that are called" });
  await expect(called.getByRole("listitem")).toHaveCount(4);
  await sheet.getByRole("combobox", { name: "Movements that are called" }).fill("clap twice");
  await page.keyboard.press("Enter");
  await sheet.getByRole("button", { name: "5: clap twice: less" }).click();
  await expectAccessible(page);
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(sheet).toHaveCount(0);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole("button", { name: /^Open Easy jog, numbers called/ }).click();
  await expect(page.getByRole("region", { name: "The chosen drill" })).toContainText(
    "3 touch the floor (2), 4 high knees (8), 5 clap twice (7)",
  );
});
