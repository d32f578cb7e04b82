import { expect, type Page, test } from "@playwright/test";
import { clubApi, expectAccessible, openDemo, openNewClub, openStart } from "../../coach";

const summary = (page: Page) => page.getByTestId("table-summary");

test("the shelf goes out as a table and comes back changed: each drill is seen before it is taken, and with a fault none is", async ({
  page,
}) => {
  await openNewClub(page, "Table club");
  const api = await clubApi(page);
  expect((await page.request.post(`${api}/starters`, { data: { key: "golf" } })).ok()).toBe(true);
  const text = await (await page.request.get(`${api}/tables/shelf`)).text();
  const choose = async (table: string) => {
    await page.getByLabel("A shelf's file").setInputFiles({
      name: "shelf.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(table),
    });
  };
  await page.goto("/shelf");
  await page.getByRole("button", { name: "Starter shelves" }).click();
  await choose(text);
  await expect(summary(page)).toHaveText(/^0 new, 0 changed, \d+ as they are$/);
  await expect(page.getByRole("button", { name: "Nothing to change" })).toBeDisabled();
  await page.getByRole("button", { name: "Choose another" }).click();

  // A fault by line and column, and nothing to take.
  const lines = text.split("\r\n");
  const [head = "", first = ""] = lines;
  const name = first.split(",")[0] ?? "";
  await choose([head, first.replace(/^[^,]*,[^,]*/, `${name},Sideways`)].join("\r\n"));
  await expect(page.getByRole("list", { name: "Faults in the table" })).toContainText("Line 2, Phase");
  await expect(page.getByRole("button", { name: /^Make/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Choose another" }).click();

  const other = first.split(",")[2] === "extra" ? "useful" : "extra";
  const changed = first.replace(/^([^,]*,[^,]*),[^,]*/, `$1,${other}`);
  await choose([head, first.replace(name, "Brand new drill"), changed].join("\r\n"));
  await expect(summary(page)).toHaveText("1 new, 1 changed, 0 as they are");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Make 1, change 1 drills" }).click();
  await expect(page.getByText("Imported. It is on your shelf.")).toBeVisible();
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await page.getByLabel("Find").fill("Brand new drill");
  await expect(page.getByText("Brand new drill", { exact: true })).toBeVisible();
});

test("what of the kit is there on arrival is ticked without a network, and stands on Today", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  await openStart(page, "Noor Whitlock");
  await page.goto(`${page.url()}?sheet=start`);
  const kit = page.getByRole("group", { name: "Kit on arrival, checked" });
  const open = kit.locator('[aria-checked="false"]');
  await expect(open.first()).toBeVisible();
  const many = await open.count();
  expect(many).toBeGreaterThan(0);
  const name = (await open.first().getAttribute("aria-label")) ?? (await open.first().innerText());
  const piece = kit.getByRole("checkbox", { name, exact: true });
  await page.context().setOffline(true);
  await piece.click();
  await expect(piece).toBeChecked();
  await page.context().setOffline(false);
  const line = page.getByRole("group", { name: /^Noor Whitlock/ }).getByTestId("open-list");
  // Sent by itself as soon as the server can be reached.
  await expect(async () => {
    await page.goto("/");
    await expect(line.filter({ hasText: "Kit on arrival" })).toContainText(`(${many - 1} of`, {
      timeout: 2000,
    });
  }).toPass({ timeout: 40_000 });
});
