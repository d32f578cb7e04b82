import { expect, test } from "@playwright/test";
import { clubApi, openDemo, openStart } from "../../coach";

test.use({ serviceWorkers: "allow" });

test("after one visit everything of the day is there with no network, and a run made there is sent later", async ({
  page,
  context,
}) => {
  await openDemo(page);
  await page.goto("/");
  await page.evaluate(() => navigator.serviceWorker.ready);
  await openStart(page, "Noor Whitlock");
  // What was read is kept once it has settled.
  await expect
    .poll(() => page.evaluate(async () => (await indexedDB.databases()).map((d) => d.name)))
    .toContain("tonodrome");
  await expect.poll(() => page.evaluate(keptStarts)).toBeGreaterThan(0);

  await context.setOffline(true);
  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Noor Whitlock/ })).toBeVisible();
  await page
    .getByRole("group", { name: /^Noor Whitlock/ })
    .getByRole("link")
    .first()
    .click();
  await expect(page.getByTestId("stair")).toBeVisible();
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("No connection").first()).toBeVisible();
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: "+30 s" }).click();
  const run = page.url().split("/").at(-1) ?? "";

  // Reloaded in the middle of it, it resumes where the clock says it is.
  await page.reload();
  await expect(page.getByText(/^2 of \d+/).first()).toBeVisible();
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.getByText(/^3 of \d+/).first()).toBeVisible();

  await context.setOffline(false);
  await page.getByRole("button", { name: "Hold" }).click();
  const api = await clubApi(page);
  await expect
    .poll(async () => {
      const answer = await context.request.get(`${api}/runs/${run}`);
      return (await answer.json()).events?.map((e: { kind: string }) => e.kind);
    })
    .toEqual(["begin", "done", "extend", "done", "hold"]);
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "End the run" }).click();
  await page.getByRole("button", { name: "End and keep it in the log" }).click();
});

test("it can be installed: its manifest and icons are there", async ({ page }) => {
  await page.goto("/");
  const manifest = await page.request.get("/manifest.webmanifest");
  const { icons, name, display } = await manifest.json();
  expect([name, display]).toEqual(["Tonodrome", "standalone"]);
  for (const { src } of icons) expect((await page.request.get(src)).ok()).toBe(true);
});

/** How many answers about starts are kept on the device. Runs in the page. */
function keptStarts(): Promise<number> {
  return new Promise((resolve) => {
    const open = indexedDB.open("tonodrome");
    open.onsuccess = () => {
      const all = open.result.transaction("queries").objectStore("queries").getAll();
      all.onsuccess = () => {
        const queries = all.result.flatMap((kept) => JSON.parse(kept).clientState.queries);
        open.result.close();
        resolve(queries.filter((q) => q.queryKey[0] === "start").length);
      };
    };
  });
}
