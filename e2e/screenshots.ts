import path from "node:path";
import { chromium, expect, type Page } from "@playwright/test";
import { chromium as launch } from "./browser";
import { beginRun, controlClock, GATE, givePlan, makeStart, openDemo, openStart, shareStart } from "./coach";

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

async function gate(page: Page): Promise<void> {
  await makeStart(page, "Runa Sedge", 30);
  await givePlan(page, [GATE, { name: "Easy laps" }]);
  await beginRun(page);
  for (const press of ["Hit", "Miss", "Hit"])
    await page.getByRole("button", { name: press, exact: true }).click();
  await page.clock.fastForward(20_000);
}

/** A day, opened at its evening before. */
async function wholeDay(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: /^Day of Pia Sandgren/ }).click();
  await page.locator("[data-step=travel]").waitFor();
  // The rise of the warm-up comes with its fit.
  await expect(page.getByRole("button", { name: /^Warm-up, .*leaves no room/ })).toBeVisible();
}

/** The wait, at the moment the routine is paced by breath. */
async function wait(page: Page): Promise<void> {
  await makeStart(page, "Anneliese Obermayer-Castellanos", 10);
  await givePlan(page, [{ name: "Single jumps", phase: "technical", focus: "Arms quiet at the top" }]);
  await beginRun(page);
  await page.getByRole("button", { name: "Done", exact: true }).click();
  const [minutes = 0, seconds = 0] = (await page.getByRole("timer").first().innerText())
    .split(":")
    .map(Number);
  await page.clock.fastForward((minutes * 60 + seconds - 130) * 1000);
  await page
    .getByText(/^Breathe/)
    .first()
    .waitFor();
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
    name: "drill",
    go: async (page) => {
      await openStart(page, "Ilse Marrow");
      await page.getByRole("button", { name: /^Landing holds/ }).click();
    },
  },
  {
    name: "day",
    go: async (page) => {
      await openStart(page, "Tamsin Okoro-Vale");
      await page.getByTestId("stair").hover();
      await page.mouse.wheel(0, 560);
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
  {
    name: "log-run",
    go: async (page) => {
      await page.goto("/log");
      await page.getByRole("listitem").getByRole("link").last().click();
    },
  },
  { name: "run", go: runTwo },
  // These make starts of their own, so they come last.
  { name: "run-gate", dark: true, go: gate },
  { name: "run-wait", go: wait },
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
  await page.getByRole("main").waitFor();
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
