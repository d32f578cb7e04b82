import { randomUUID } from "node:crypto";
import AxeBuilder from "@axe-core/playwright";
import { type Browser, expect, type Locator, type Page } from "@playwright/test";
import { type PlanBody, type PlanItem, usualSetting } from "@tonodrome/core";
import type { Role, StartInput } from "@tonodrome/core/api";

/** Opens the demo club, as its button does, and leaves the page where it is. */
export async function openDemo(page: Page): Promise<void> {
  const answer = await page.request.post("/api/auth/demo");
  expect(answer.ok()).toBe(true);
}

/** Signs up with a club of its own that has in it what the demo has, by its export. */
export async function openFilledClub(page: Page): Promise<void> {
  await openDemo(page);
  const data = await (await page.request.get(`${await clubApi(page)}/export`)).body();
  await page.context().clearCookies();
  await openNewClub(page, "Filled club");
  const headers = { "content-type": "application/x-ndjson" };
  const answer = await page.request.post(`${await clubApi(page)}/import`, { data, headers });
  expect(answer.ok()).toBe(true);
}

/** Signs up with a club of its own, whose shelf is empty. */
export async function openNewClub(page: Page, clubName: string): Promise<void> {
  const data = {
    name: "Ada Finch",
    email: `${Date.now()}-${Math.floor(Math.random() * 1e6)}@example.org`,
    password: "a long enough password",
    clubName,
  };
  const answer = await page.request.post("/api/auth/sign-up", { data });
  expect(answer.ok()).toBe(true);
}

/** The address of the API for the club that is open. */
export async function clubApi(page: Page): Promise<string> {
  const me = await (await page.request.get("/api/me")).json();
  return `/api/clubs/${me.clubs[0].id}`;
}

/** Opens Today and, from it, an athlete's next start. */
export async function openStart(page: Page, athlete: string): Promise<void> {
  await page.goto("/");
  await page
    .getByRole("group", { name: new RegExp(`^${athlete}`) })
    .getByRole("link")
    .first()
    .click();
  await expect(page.getByTestId("stair")).toBeVisible();
}

/** Makes a link to an athlete's next warm-up, through the sheet, and gives its address. */
export async function shareStart(page: Page, athlete: string): Promise<string> {
  await openStart(page, athlete);
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("button", { name: "Make a link" }).click();
  const link = await page.getByLabel("Link", { exact: true }).inputValue();
  await page.getByRole("button", { name: "Close" }).click();
  return link;
}

/** Makes a new start for a new athlete, and opens its empty warm-up. */
export async function makeStart(
  page: Page,
  name: string,
  inMinutes = 120,
  more: Partial<StartInput> = {},
): Promise<void> {
  const api = await clubApi(page);
  const athlete = await page.request.post(`${api}/athletes`, { data: { id: randomUUID(), name } });
  expect(athlete.ok()).toBe(true);
  const minute = 60_000;
  const startsAt = Math.floor(Date.now() / minute) * minute + inMinutes * minute;
  const data: StartInput = {
    id: randomUUID(),
    athleteId: (await athlete.json()).id,
    title: "Trial skate",
    venue: "",
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    startsAt: new Date(startsAt).toISOString(),
    readyAt: new Date(startsAt - Math.min(45, inMinutes) * minute).toISOString(),
    eventId: null,
    setting: usualSetting(),
    ...more,
  };
  const start = await page.request.post(`${api}/starts`, { data });
  expect(start.ok(), await start.text()).toBe(true);
  await page.goto(`/start/${data.id}`);
  await expect(page.getByText("No drills yet", { exact: false }).first()).toBeVisible();
}

/** The same by hand, through the form. */
export async function makeStartByHand(page: Page, name: string, inMinutes = 120): Promise<void> {
  await page.goto("/start/new");
  await page.getByRole("radio", { name: "Someone new" }).click();
  await page.getByLabel("Their name").fill(name);
  await page.getByLabel("Event", { exact: true }).fill("Trial skate");
  const at = new Date(Date.now() + inMinutes * 60_000);
  const two = (n: number) => String(n).padStart(2, "0");
  await page
    .getByLabel("Day", { exact: true })
    .fill(`${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`);
  await page.getByLabel("Start", { exact: true }).fill(`${two(at.getHours())}:${two(at.getMinutes())}`);
  await page.getByRole("button", { name: "Make it and build the warm-up" }).click();
  await expect(page.getByText("No drills yet", { exact: false }).first()).toBeVisible();
}

/** Adds drills of the shelf by name to the warm-up that is open. */
export async function addDrills(page: Page, ...names: string[]): Promise<void> {
  await page.getByRole("button", { name: "Add", exact: true }).click();
  for (const name of names) {
    await page.getByRole("dialog").getByLabel("Find").fill(name);
    await page.getByRole("button", { name: `Add ${name}`, exact: true }).click();
  }
  await page.getByRole("button", { name: "Close" }).click();
}

/** Opens a drill's strip in its place on a phone, and from it the sheet in which all of it is edited. */
export async function editDrill(page: Page, name: RegExp): Promise<Locator> {
  const stair = page.getByTestId("stair");
  const strip = stair.locator("[data-drill]").and(page.getByRole("button", { name })).first();
  if ((await strip.getAttribute("aria-expanded")) !== "true") await strip.click();
  await stair.getByRole("button", { name: "Edit", exact: true }).click();
  return page.getByRole("dialog");
}

/** Names of the drills of the stair, first to last. */
export async function stairNames(page: Page): Promise<string[]> {
  const labels: string[] = await page
    .getByTestId("stair")
    .locator("[data-drill]")
    .evaluateAll((nodes) => nodes.map((n) => n.getAttribute("aria-label") ?? ""));
  return labels.map((l) => l.split(/, (?:\d+ %|kit|ladder,|left out)/)[0] ?? "");
}

/** Waits until everything edited has been saved, as it is by itself. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByTestId("saved")).toHaveText("Saved");
}

/** Waits until what is edited in the sheet has been saved, as it is by itself, and closes it. */
export async function closeSaved(page: Page): Promise<void> {
  const sheet = page.getByRole("dialog");
  await expect(sheet.getByRole("status").first()).toHaveText("Saved");
  await sheet.getByRole("button", { name: "Close" }).click();
}

/** Fails on anything that axe finds against WCAG 2.2 A and AA. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(" | ")}`)).toEqual(
    [],
  );
}

/**
 * Puts the page's clock in the test's hands. The server's answers are dated by it too: otherwise the application would
 * find the device's clock wrong, which it corrects.
 */
export async function controlClock(page: Page): Promise<void> {
  await page.clock.install();
  await page.route(/\/(health$|api\/(?!.*changes))/, async (route) => {
    const response = await route.fetch().catch(() => null);
    if (!response) return route.abort();
    const now = await page.evaluate(() => Date.now()).catch(() => Date.now());
    const headers = {
      ...response.headers(),
      date: new Date(now).toUTCString(),
      "tonodrome-time": String(now),
    };
    // A page that is left in the meantime wants no answer any more.
    await route.fulfill({ response, headers }).catch(() => undefined);
  });
}

/** A gate of two hits in a row, as an archer has it. */
export const GATE = {
  name: "Gold at 18 m",
  phase: "technical",
  intensity: 60,
  focus: "Loose fingers",
  dose: {
    kind: "gate",
    rule: { kind: "row" },
    hits: { floor: 2, ideal: 2, ceiling: 2 },
    chancePercent: 60,
    secondsEach: 10,
    restSeconds: 0,
    surePercent: 80,
    capSeconds: 120,
    sides: "one",
  },
} as const satisfies Partial<PlanItem>;

/** Gives the start that is open these drills as its warm-up, and opens it anew. */
export async function givePlan(
  page: Page,
  drills: (Partial<PlanItem> & Pick<PlanItem, "name">)[],
  more: Partial<PlanBody> = {},
): Promise<void> {
  const api = await clubApi(page);
  const id = page.url().split("/").at(-1);
  const { plan } = await (await page.request.get(`${api}/starts/${id}`)).json();
  const items = drills.map(
    (more, i): PlanItem => ({
      id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
      drillId: null,
      phase: "raise",
      priority: "useful",
      intensity: 30,
      dose: {
        kind: "time",
        seconds: { floor: 60, ideal: 120, ceiling: 120 },
        step: 60,
        sides: "one",
        changeoverSeconds: 0,
      },
      focus: "",
      place: "",
      ...more,
    }),
  );
  const data = { version: plan.version, body: { ...plan.body, items, ...more } };
  expect((await page.request.put(`${api}/plans/${plan.id}`, { data })).ok()).toBe(true);
  await page.reload();
  await expect(page.getByText(drills[0]?.name ?? "").first()).toBeVisible();
}

/** Starts the run of the warm-up that is open. */
export async function beginRun(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
}

/** Somebody in a role of the club that is open, on a device of their own; whoever opened it closes it. */
export async function somebody(page: Page, browser: Browser, role: Role): Promise<Page> {
  const made = await page.request.post(`${await clubApi(page)}/invites`, { data: { role, athleteId: null } });
  const { token } = await made.json();
  const device = await browser.newContext();
  const other = await device.newPage();
  const data = {
    name: "Kit Marlowe-Ash",
    email: `${Date.now()}-${Math.floor(Math.random() * 1e6)}@example.org`,
    password: "a long enough password",
  };
  const answer = await other.request.post(`/api/invites/${token}/sign-up`, { data });
  expect(answer.ok()).toBe(true);
  return other;
}
