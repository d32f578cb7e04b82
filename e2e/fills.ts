import { randomUUID } from "node:crypto";
import type { Browser, Page } from "@playwright/test";
import { noProfile } from "@tonodrome/core";
import { clubApi, makeStart, openNewClub } from "./coach";

/** As high as a whole filled warm-up, pixels. */
const SIZE = { width: 390, height: 1560 };

/** A warm-up that is filled for a picture. */
interface Fill {
  starter: string;
  title: string;
  minutes: number;
  ageYears: number | null;
}

const FILLS: readonly Fill[] = [
  { starter: "figure-skating", title: "8 minutes", minutes: 8, ageYears: null },
  { starter: "figure-skating", title: "Eleven years old", minutes: 30, ageYears: 11 },
  { starter: "archery", title: "An archer", minutes: 35, ageYears: null },
];

/** A warm-up of a starter's first event, filled from the approach that suits it best: its picture. */
async function filled(browser: Browser, baseURL: string, fill: Fill): Promise<Buffer> {
  const context = await browser.newContext({ baseURL, viewport: SIZE, locale: "en-GB" });
  const page = await context.newPage();
  await openNewClub(page, fill.title);
  const api = await clubApi(page);
  await page.request.post(`${api}/starters`, { data: { key: fill.starter } });
  const { events } = await (await page.request.get(`${api}/events`)).json();
  const id = randomUUID();
  const profile = { ...noProfile(), ageYears: fill.ageYears };
  await page.request.post(`${api}/athletes`, { data: { id, name: "Edda Lindqvist", profile } });
  const startsAt = new Date(Math.ceil(Date.now() / 60_000) * 60_000 + 7_200_000);
  const readyAt = new Date(startsAt.getTime() - fill.minutes * 60_000).toISOString();
  const [event] = events;
  const more = {
    athleteId: id,
    title: fill.title,
    eventId: event.id,
    startsAt: startsAt.toISOString(),
    readyAt,
  };
  await makeStart(page, "Nobody else", 120, more);
  await page.getByRole("button", { name: "Fill it for me" }).click();
  await page.getByRole("list", { name: "Approaches" }).getByRole("button").first().click();
  await page.getByRole("button", { name: "Good" }).click();
  await page.getByTestId("to-look-at").waitFor();
  const shot = await page.screenshot({ animations: "disabled" });
  await context.close();
  return shot;
}

/** Beside each other: the sheet as it is on the page, and what is filled in eight minutes, at eleven, and for an archer. */
export async function showFills(page: Page, browser: Browser, baseURL: string): Promise<void> {
  const shots = [await page.screenshot({ animations: "disabled" })];
  for (const fill of FILLS) shots.push(await filled(browser, baseURL, fill));
  const images = shots.map(
    (shot) => `<img alt="" src="data:image/png;base64,${shot.toString("base64")}" style="width:390px">`,
  );
  await page.setViewportSize({ width: 4 * 390 + 3 * 20, height: SIZE.height });
  await page.setContent(
    `<main style="display:flex;gap:20px;align-items:flex-start;background:#888">${images.join("")}</main><style>body{margin:0}</style>`,
  );
}
