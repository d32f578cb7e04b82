import { expect, type Page, test } from "@playwright/test";
import { expectAccessible } from "../../coach";

/** So many presses besides typing from the sign-up form to a warm-up under the finger, at most. */
const MOST_PRESSES = 6;

/** The longest from the sign-up form to a warm-up that is filled, in milliseconds, beside other checks too. */
const LONGEST = 60_000;

/** The page's own count of presses: of keys typed none is one. */
async function countPresses(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const key = "presses";
    document.addEventListener(
      "click",
      (e) => {
        // A button that is pressed by Enter clicks too; a label's click on its field is the same press.
        if (e.isTrusted && e.detail > 0)
          sessionStorage.setItem(key, String(Number(sessionStorage.getItem(key) ?? 0) + 1));
      },
      true,
    );
  });
  return () => page.evaluate(() => Number(sessionStorage.getItem("presses") ?? 0));
}

async function signUp(page: Page): Promise<void> {
  // The way that somebody new comes: by the front page.
  await page.goto("/");
  await page.getByRole("link", { name: "Create an account and a club" }).click();
  await page.getByLabel("Name of your club").fill("Harbour Tumblers");
  await page.getByLabel("Your name").fill("Ines Vantongeren");
  await page.getByLabel("E-mail").fill(`first.${Date.now()}@example.org`);
  await page.getByLabel("Password").fill("a sentence to sign in with");
  await page.getByRole("button", { name: "Create account and club" }).click();
  await expect(page.getByRole("heading", { name: "Your first warm-up" })).toBeVisible();
}

test("from the sign-up form to a filled warm-up under the finger in at most six presses", async ({
  page,
}) => {
  const presses = await countPresses(page);
  const began = Date.now();
  await signUp(page);
  await page.getByRole("checkbox", { name: "Trampoline" }).click();
  await expectAccessible(page);
  await page.getByLabel("Athlete").fill("Odalys Brandt");
  await page.getByRole("button", { name: "Build the warm-up" }).click();
  const first = page.getByTestId("first-fill");
  await expect(first.getByText(/^Filled from /)).toBeVisible({ timeout: LONGEST });
  expect(await presses()).toBeLessThanOrEqual(MOST_PRESSES);
  expect(Date.now() - began).toBeLessThan(LONGEST);

  // Fitted: it says so, and the finger changes it.
  await expect(page.getByTestId("stair").locator("[data-drill]").first()).toBeVisible();
  const slider = page.getByRole("slider", { name: "Time available" });
  await expect(slider).toHaveValue("45");
  await slider.focus();
  await slider.press("ArrowDown");
  await expect(slider).toHaveValue("44");
  await expectAccessible(page);

  // Two other ways, one press away, seen as their rises.
  const others = first.getByRole("button", { name: /instead$/ });
  await expect(others).toHaveCount(2);
  await expect(others.first().getByRole("img")).toBeVisible();
  const name = ((await others.first().getAttribute("aria-label")) ?? "").replace(
    /^Fill from (.*) instead$/,
    "$1",
  );
  await others.first().click();
  await expect(first.getByText(`Filled from ${name}. Or:`)).toBeVisible({ timeout: LONGEST });
  await first.getByRole("button", { name: "Good" }).click();
  await expect(first).toBeHidden();
  await expect(page.getByTestId("saved")).toHaveText("Saved");

  // It has the sport's event, and its shelf with what there is to warm with.
  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Odalys Brandt/ })).toContainText("Individual routine");
  await page.goto("/shelf");
  await expect(page.getByText("Easy jog", { exact: true })).toBeVisible();
});

test("with none of the sports it begins with general preparation, and can be left for later", {
  tag: "@long",
}, async ({ page }) => {
  await signUp(page);
  await page.getByRole("link", { name: "Later, straight to Today" }).click();
  await page.getByRole("button", { name: "Set up your first warm-up" }).click();
  await page.getByRole("button", { name: "Build the warm-up" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "name" })).toBeVisible();
  await page.getByLabel("Athlete").fill("Odalys Brandt");
  await page.getByLabel("Day").fill("2020-01-01");
  await page.getByRole("button", { name: "Build the warm-up" }).click();
  await expect(page.getByText("That time has passed at the venue. Give a later one.")).toBeVisible();
  const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel("Day").fill(tomorrow);
  await page.getByRole("button", { name: "Build the warm-up" }).click();
  await expect(page.getByTestId("first-fill").getByText(/^Filled from /)).toBeVisible({ timeout: LONGEST });
  await expect(page.getByRole("heading", { name: "Odalys Brandt, First start" })).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Odalys Brandt/ })).toHaveCount(1);
});

test("an empty shelf is filled from where filling needs it", { tag: "@long" }, async ({ page }) => {
  await signUp(page);
  await page.getByRole("link", { name: "Later, straight to Today" }).click();
  await page.getByRole("button", { name: "New start" }).last().click();
  await page.getByLabel("Their name").fill("Odalys Brandt");
  await page.getByLabel("Event", { exact: true }).fill("Final");
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await page.getByRole("button", { name: "Fill it for me" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByRole("button", { name: "Add Golf to the shelf" }).click();
  await sheet.getByRole("list", { name: "Approaches" }).getByRole("button").first().click();
  await expect(page.getByText(/^Filled from /)).toBeVisible({ timeout: LONGEST });
});
