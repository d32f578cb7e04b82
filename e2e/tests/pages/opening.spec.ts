import { expect, type Page, test } from "@playwright/test";
import { openDemo } from "../../coach";

/** Where a first load's script lies in its name: what is loaded later has other names. */
const FIRST = /\/(early\.js|_expo\/static\/js\/web\/(__expo-metro-runtime|__common|entry)-[0-9a-f]+\.js)$/;

const beginAt = (page: Page) => page.getByText(/^Begin at \d\d:\d\d/).first();

const keptSight = (page: Page) => page.evaluate(() => localStorage.getItem("sight"));

/** Leaves Today for a page that is none of the application's, and waits until what was seen is kept. */
async function leave(page: Page): Promise<void> {
  await page.goto("/api/me");
  await expect.poll(() => keptSight(page)).not.toBeNull();
}

interface Early {
  tonodromeEarly?: { sight: ShadowRoot | null };
}

/** What was seen last, while it is shown; null before and after. */
const sightOf = (page: Page) =>
  page.evaluate(() => {
    const root = (globalThis as unknown as Early).tonodromeEarly?.sight;
    const moments = [...(root?.querySelectorAll("[data-moment]") ?? [])];
    return root
      ? { text: root.textContent, passing: moments.some((m) => getComputedStyle(m).visibility !== "hidden") }
      : null;
  });

test("Today says when to begin with its first scripts alone: what fits, types and checks is loaded later", async ({
  page,
}) => {
  await openDemo(page);
  const first: string[] = [];
  const later: string[] = [];
  page.on("request", (request) => {
    const { pathname } = new URL(request.url());
    if (request.resourceType() === "script") (FIRST.test(pathname) ? first : later).push(pathname);
  });
  await page.goto("/");
  await expect(beginAt(page)).toBeVisible();
  expect(later.filter((path) => !path.includes("fitWorker"))).toEqual([]);
  // Nor does what checks lie among the first: what makes a schema is part of whatever has one.
  expect(first).toHaveLength(4);
  const texts = await Promise.all(first.map(async (path) => (await page.request.get(path)).text()));
  expect(texts.filter((text) => text.includes("invalid_type"))).toEqual([]);
  // Nor does what is read wait for its type.
  const type = await page.evaluate(() => [...document.fonts].map((face) => face.display));
  expect(type).toEqual(["swap", "swap", "swap"]);
  // The rest comes with the first other screen.
  await page.getByRole("link", { name: "Shelf" }).click();
  await expect(page.getByRole("heading", { name: "Shelf", exact: true })).toBeVisible();
  expect(later.some((path) => path.includes("/later-"))).toBe(true);
});

test("what was seen last stands there at once, gives way to what is, and goes with whoever signs out", async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/");
  await expect(beginAt(page)).toBeVisible();
  const begin = await beginAt(page).textContent();
  await leave(page);

  // The application is held up.
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route(/\/entry-[0-9a-f]+\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto("/", { waitUntil: "commit" });
  await expect.poll(async () => (await sightOf(page))?.text).toContain(begin?.replace(/,.*/, ""));
  expect((await sightOf(page))?.passing).toBe(false);
  release();
  await expect(beginAt(page)).toBeVisible();
  await expect.poll(() => sightOf(page)).toBeNull();

  // Seen elsewhere last, it is not what Today opens with.
  await page.getByRole("link", { name: "Club" }).click();
  await expect(page).toHaveURL(/\/club$/);
  await expect.poll(() => keptSight(page)).toBeNull();
  await page.goto("/");
  await expect(beginAt(page)).toBeVisible();
  await leave(page);
  await page.goto("/account");
  expect(await keptSight(page)).not.toBeNull();
  await page.getByRole("button", { name: "Sign out", exact: true }).click();
  await expect.poll(() => keptSight(page)).toBeNull();
});
