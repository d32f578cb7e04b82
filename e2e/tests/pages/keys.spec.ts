import { expect, test } from "@playwright/test";
import { beginRun, openDemo, openFilledClub, openStart, stairNames } from "../../coach";

test("the browser's Back closes what lies over the page, and leaves it only when nothing does", async ({
  page,
}) => {
  await openFilledClub(page);
  await openStart(page, "Noor Whitlock");
  const here = page.url();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.goBack();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  expect(page.url()).toBe(here);
  // Closed by its button, it costs no press of Back.
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await page.goBack();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page.goForward();
  await expect(page.getByTestId("stair")).toBeVisible();
});

test("keys of the warm-up: the keyboard follows the selection, Enter opens, and what does nothing says why", {
  tag: "@long",
}, async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await openFilledClub(page);
  await openStart(page, "Noor Whitlock");
  const names = await stairNames(page);
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", new RegExp(`^${names[1]}, `));
  await expect(page.getByRole("heading", { name: names[1] as string })).toBeVisible();
  await page.keyboard.press("ArrowUp");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", new RegExp(`^${names[0]}, `));

  // Of what is left out more is no help.
  await page.getByRole("slider", { name: "Time available" }).fill("4");
  const out = page.getByRole("button", { name: /left out$/ }).first();
  await out.click();
  await page.keyboard.press("+");
  await expect(page.getByTestId("said")).toContainText("is left out.");

  await page.locator(":focus").blur();
  await page.keyboard.press("a");
  await expect(page.getByRole("searchbox", { name: "Find" })).toBeFocused();
  await page.keyboard.press("Escape");
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toContainText("Choose a drill");
});

test("every place has its keys, and Tab begins with a way past them", { tag: "@long" }, async ({ page }) => {
  await openDemo(page);
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  // A key pressed before the page listens does nothing; pressed again each of these does the same.
  const pressUntil = (key: string, seen: () => Promise<void>) =>
    expect(async () => {
      await page.keyboard.press(key);
      await seen();
    }).toPass();
  const soon = { timeout: 2000 };
  const help = page.getByRole("dialog", { name: "Keys" });
  await pressUntil("?", () => expect(help).toContainText("Shelf", soon));
  await page.keyboard.press("Escape");
  await expect(help).toHaveCount(0);
  await pressUntil("2", () => expect(page.getByRole("heading", { name: "Shelf" })).toBeVisible(soon));
  const find = page.getByRole("searchbox", { name: "Find" });
  await expect(find).toBeVisible();
  await pressUntil("/", () => expect(find).toBeFocused(soon));
  await page.locator(":focus").blur();
  await page.keyboard.press("1");
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page.keyboard.press("Tab");
  await expect(page.getByRole("button", { name: "Skip to the content" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.locator("[role=main]")).toBeFocused();
});

test("in a run jumping, putting in, the start and the end have keys", { tag: "@long" }, async ({ page }) => {
  await openFilledClub(page);
  await openStart(page, "Noor Whitlock");
  await beginRun(page);
  await page.keyboard.press("j");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", /^Jump to /);
  await page.keyboard.press("Escape");
  await page.keyboard.press("t");
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", "−5 min");
  await page.keyboard.press("Escape");
  await page.keyboard.press("i");
  await expect(page.getByRole("dialog", { name: "Insert a drill" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await page.keyboard.press("e");
  await expect(page.getByRole("dialog", { name: "End this run?" })).toBeVisible();
});
