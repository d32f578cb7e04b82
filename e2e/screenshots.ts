import { randomUUID } from "node:crypto";
import path from "node:path";
import { chromium, expect, type Page } from "@playwright/test";
import { MINUTE_MS, usualSetting, wallClock } from "@tonodrome/core";
import { chromium as launch } from "./browser";
import { showCard } from "./card";
import {
  beginRun,
  clubApi,
  controlClock,
  givePlan,
  makeStart,
  openDemo,
  openStart,
  shareStart,
} from "./coach";
import { showFills } from "./fills";

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const base = process.env.SHOTS_URL as string;

const browser = await chromium.launch(launch);

interface Shot {
  name: string;
  size?: typeof PHONE;
  dark?: boolean;
  go: (page: Page) => Promise<void>;
}

async function runTwo(page: Page): Promise<void> {
  await openStart(page, "Ilse Marrow");
  await page.getByRole("button", { name: /^Run$|^Back to the run$/ }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await page.clock.fastForward(385_000);
  await page.getByRole("button", { name: "Done" }).click();
  for (let i = 0; i < 8; i++) await page.getByRole("button", { name: "Skip" }).click();
  await page.clock.fastForward(24_000);
}

/** As many names as a class of children has: whose start it is, and these. */
const GROUP =
  "Aino,Bram,Cleo,Dario,Edda,Falk,Greta,Hanno,Ilva,Joris,Kaja,Lev,Mirko,Nell,Oskar,Pia,Ravi,Sol,Tove,Ulf,Vera,Wim,Yara"
    .split(",")
    .map((name, i) => `${name} ${["Sand", "Moss", "Halloran-Whitlock", "Fell"][i % 4]}`);

/** A group of two dozen at their own ladder: one is missing, some have done it, one sits it out. */
async function group(page: Page): Promise<void> {
  const api = await clubApi(page);
  const ids: string[] = [];
  for (const name of GROUP) {
    ids.push(randomUUID());
    await page.request.post(`${api}/athletes`, { data: { id: ids.at(-1), name } });
  }
  await makeStart(page, "Runa Sedge", 30, { setting: { ...usualSetting(), group: ids } });
  await givePlan(page, [
    { name: "Easy laps" },
    { name: "Straight jumps", phase: "technical", intensity: 40 },
  ]);
  await beginRun(page);
  await page.getByRole("button", { name: /^All together/ }).click();
  await page.getByRole("button", { name: /^Lev/ }).click();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Done", exact: true }).click();
  await page.getByRole("button", { name: /^Each their own/ }).click();
  for (const name of [/^Aino/, /^Bram/, /^Cleo/, /^Greta/, /^Ilva/, /^Edda/, /^Edda/])
    await page.getByRole("button", { name }).click();
}

/** The second of two starts of one athlete on a day, its re-warm built. */
async function twoStarts(page: Page): Promise<void> {
  await openStart(page, "Ilse Marrow");
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  await page.getByRole("button", { name: "Add the next round, if through" }).click();
  await page.waitForURL(/fill=first/);
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByText(/^Filled from /).waitFor();
  await page.clock.runFor(3000);
  await page.getByRole("button", { name: "Day", exact: true }).click();
  await page.getByRole("list", { name: "Starts of this day" }).waitFor();
}

/** A day, opened at its evening before. */
async function wholeDay(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: /^Day of Pia Sandgren/ }).click();
  await page.locator("[data-step=travel]").waitFor();
  // The rise of the warm-up comes with its fit.
  await expect(page.getByRole("button", { name: /^Warm-up, .*leaves no room/ })).toBeVisible();
}

const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const TOMORROW = new Date(new Date().setHours(24 + 14, 0, 0, 0)).getTime();

/** A start list from so late on, one every four minutes, with a fault, somebody who is known and somebody who is not. */
async function startList(page: Page, from = TOMORROW): Promise<void> {
  const row = (number: number, name: string, time?: string) => {
    const at = wallClock(new Date(from + (number - 1) * 4 * MINUTE_MS).toISOString(), ZONE);
    return `${number};${name};Novice free skate;${at.date};${time ?? at.time};Aldermere Ice Hall`;
  };
  await page.goto("/start/list");
  await page
    .getByLabel("Or paste it, heads first")
    .fill(
      [
        "No.;Name;Event;Date;Time;Rink",
        row(1, "Odalys Fenn"),
        row(2, "SANDGREN Pia"),
        row(3, "Marit Holloway", "14:88"),
        row(4, "Whitlock, Noor"),
        row(5, "Ilse Marrow"),
        row(6, "Bastian Thorne"),
      ].join("\n"),
    );
  await page.getByRole("button", { name: "Read what was pasted" }).click();
  await page.getByText(/^\d+ new, /).waitFor();
}

/** The order that comes of it, while number 2 is on, three minutes late. */
async function order(page: Page): Promise<void> {
  await startList(page, Math.floor(Date.now() / MINUTE_MS - 14) * MINUTE_MS);
  await page.getByRole("button", { name: "Leave them out" }).click();
  await page.getByRole("button", { name: /^Make \d/ }).click();
  await page.getByRole("link", { name: "Running order, number 2" }).click();
  const id = page.url().split("/").at(-1);
  for (const [number, minutes] of [
    [1, 13],
    [2, 7],
  ] as const)
    await page.request.post(`${await clubApi(page)}/orders/${id}/now`, {
      data: { number, at: new Date(Date.now() - minutes * MINUTE_MS).toISOString() },
    });
  await page.reload();
  await page.getByText(/so far today/).waitFor();
}

async function forecast(page: Page, athlete: string): Promise<void> {
  await openStart(page, athlete);
  await page.getByTestId("state-line").click();
  await page.getByRole("img", { name: "Tiredness, drawn" }).waitFor();
  await page.getByText(/^Late by/).waitFor();
}

/** What there is to look at, on a hot day, with what mends it. */
async function findings(page: Page): Promise<void> {
  await openStart(page, "Tamsin Okoro-Vale");
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: /^The start/ }).click();
  for (const name of ["Outdoors", "30 °", "In the sun"]) await page.getByRole("radio", { name }).click();
  await page.clock.runFor(1500);
  await page.getByText("Saved", { exact: true }).last().waitFor();
  await page.getByRole("button", { name: "Close" }).click();
  await page.getByTestId("to-look-at").click();
  await page.getByRole("button", { name: "In the shade" }).waitFor();
}

const shots: Shot[] = [
  {
    name: "shared",
    go: async (page) => {
      const link = await shareStart(page, "Tamsin Okoro-Vale");
      await page.context().clearCookies();
      await page.goto(link);
    },
  },
  { name: "today", go: async (page) => void (await page.goto("/")) },
  { name: "warm-up", go: (page) => openStart(page, "Ilse Marrow") },
  {
    name: "warm-up-wide",
    size: WIDE,
    go: async (page) => {
      await openStart(page, "Tamsin Okoro-Vale");
      await page.getByTestId("stair").hover();
      await page.mouse.wheel(0, 480);
    },
  },
  { name: "forecast", dark: true, go: (page) => forecast(page, "Ilse Marrow") },
  { name: "findings", go: findings },
  { name: "whole-day", go: wholeDay },
  {
    name: "whole-day-wide",
    size: WIDE,
    go: async (page) => {
      await wholeDay(page);
      await page.locator("[data-step=travel]").click();
    },
  },
  {
    name: "sheet",
    go: async (page) => {
      await wholeDay(page);
      await page.getByRole("button", { name: "More", exact: true }).click();
      await page.getByRole("button", { name: "Sheet to print" }).click();
      await page.getByText("Start, after a wait of").first().waitFor({ state: "attached" });
      await showCard(page);
    },
  },
  { name: "shelf", size: WIDE, go: async (page) => void (await page.goto("/shelf")) },
  {
    name: "fill",
    go: async (page) => {
      await openStart(page, "Ilse Marrow");
      await page.getByRole("button", { name: "More", exact: true }).click();
      await page.getByRole("button", { name: /^Fill it/ }).click();
      await page
        .getByText(/min of movement/)
        .first()
        .waitFor();
      await page.setViewportSize({ ...PHONE, height: 1560 });
      await page.waitForTimeout(1500);
      await showFills(page, browser, base);
    },
  },
  {
    name: "athlete",
    go: async (page) => {
      await page.goto("/club/athletes");
      await page.getByRole("button", { name: "Open Noor Whitlock" }).click();
      await page.getByText("Scales, easy to hard").scrollIntoViewIfNeeded();
      await page.getByRole("main").hover();
      await page.mouse.wheel(0, 560);
    },
  },
  {
    name: "first",
    go: async (page) => {
      await page.goto("/first");
      await page.getByRole("checkbox", { name: "Figure skating" }).click();
    },
  },
  { name: "log", size: WIDE, go: async (page) => void (await page.goto("/log")) },
  { name: "run", go: runTwo },
  // These make starts of their own, so they come last.
  { name: "two-starts", go: twoStarts },
  { name: "group", go: group },
  { name: "start-list", go: startList },
  { name: "order", go: order },
];

const wanted = process.argv.slice(2);
for (const { name, size = PHONE, dark, go } of shots) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const context = await browser.newContext({
    baseURL: base,
    viewport: size,
    colorScheme: dark ? "dark" : "light",
    locale: "en-GB",
  });
  const page = await context.newPage();
  await controlClock(page);
  await openDemo(page);
  await go(page);
  if (page.url().startsWith(base)) await page.getByRole("main").waitFor();
  // A page in sight keeps a stream open, so the network is never idle: what it asks for first is given a moment.
  await page.waitForTimeout(1500);
  await expect(page.getByText("Loading …")).toHaveCount(0);
  await page.evaluate(() => document.fonts.ready);
  await page.clock.runFor(1500);
  await page.screenshot({
    path: path.join(process.env.SHOTS_DIR as string, `${name}.png`),
    animations: "disabled",
  });
  await context.close();
}
await browser.close();
