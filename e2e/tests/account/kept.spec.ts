import { expect, type Page, test } from "@playwright/test";
import { clubApi, openFilledClub, openStart } from "../../coach";

/** Said of an athlete's health: a note, and the last day on which a part of the body is spared. */
const NOTE = "Zweifelknie";
const UNTIL = "2031-07-19";

/** Everything that a browser keeps of the application, as text. Runs in the page. */
async function keptHere(): Promise<string> {
  const all: string[] = [JSON.stringify({ ...localStorage }), JSON.stringify({ ...sessionStorage })];
  const done = <T>(request: IDBRequest<T>) =>
    new Promise<T>((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error);
    });
  for (const { name } of await indexedDB.databases()) {
    const database = await done(indexedDB.open(name as string));
    for (const store of database.objectStoreNames) {
      const rows = database.transaction(store).objectStore(store);
      all.push(JSON.stringify([await done(rows.getAllKeys()), await done(rows.getAll())]));
    }
    database.close();
  }
  for (const name of await caches.keys()) {
    const cache = await caches.open(name);
    for (const request of await cache.keys()) {
      const answer = await cache.match(request);
      all.push(request.url, (await answer?.text()) ?? "");
    }
  }
  return all.join("\n");
}

const kept = (page: Page) => page.evaluate(keptHere);

test("nothing that is said of an athlete's health is kept on the phone, and nothing at all for the next person", async ({
  page,
}) => {
  await openFilledClub(page);
  const api = await clubApi(page);
  const { athletes } = await (await page.request.get(`${api}/athletes`)).json();
  const { id, name, version, profile } = athletes.find((a: { name: string }) => a.name === "Ilse Marrow");
  const told = { ...profile, notes: NOTE, protectedAreas: [{ area: "knee", until: UNTIL }] };
  const written = await page.request.put(`${api}/athletes/${id}`, {
    data: { version, name, profile: told },
  });
  expect(written.ok()).toBe(true);

  // Wherever the profile counts: Today's words, the forecast, what there is to look at, the day, the profile itself.
  await openStart(page, name);
  await page.getByRole("button", { name: /^(warm|cold|cooling)/ }).click();
  await page.getByRole("button", { name: "Close" }).click();
  await page
    .getByRole("button", { name: /\d+ to look at$/ })
    .last()
    .click();
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "Day", exact: true }).click();
  await expect(page.getByRole("heading", { name: /^Ilse Marrow/ })).toBeVisible();
  await page.goto(`/club/athletes`);
  await page.getByRole("button", { name: "Open Ilse Marrow" }).click();
  await expect(page.getByLabel("Notes")).toHaveValue(NOTE);
  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Ilse Marrow/ })).toContainText("At the start");
  // What is read is kept a moment later.
  await expect.poll(() => kept(page)).toContain("Ilse Marrow");
  const here = await kept(page);
  expect(here).not.toContain(NOTE);
  expect(here).not.toContain(UNTIL);

  // Somebody else signs in on this phone.
  const email = `${Date.now()}-next@example.org`;
  const data = { name: "Bo Larch", email, password: "a long enough password", clubName: "Next club" };
  await page.request.post("/api/auth/sign-out");
  expect((await page.request.post("/api/auth/sign-up", { data })).ok()).toBe(true);
  await page.goto("/");
  await expect(page.getByText("Next club")).toBeVisible();
  await expect.poll(() => kept(page)).not.toContain("Ilse Marrow");
});
