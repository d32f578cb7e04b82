import { expect, type Page, test } from "@playwright/test";
import { GATE, givePlan, makeStart, openFilledClub, openStart, shareStart } from "../../coach";
import { layoutFaults } from "../../layout";

/** The sizes that a screen has to do at; text as large as a person may wish it. */
const SIZES = [
  { name: "320 × 640", width: 320, height: 640, text: 100 },
  { name: "390 × 844 with text at 200 %", width: 390, height: 844, text: 200 },
  { name: "844 × 390, a phone on its side", width: 844, height: 390, text: 100 },
  { name: "1280 × 800", width: 1280, height: 800, text: 100 },
];

const press = (page: Page, name: string | RegExp) =>
  page
    .getByRole("button", { name, exact: typeof name === "string" })
    .first()
    .click();

/** Closes what is open. A sheet grows while its content is loaded: then the press is made again. */
async function closeSheet(page: Page): Promise<void> {
  await expect(async () => {
    const close = page.getByRole("button", { name: "Close", exact: true });
    if ((await close.count()) > 0) await close.first().click();
    await expect(page.getByRole("dialog")).toHaveCount(0, { timeout: 1000 });
  }).toPass();
}

for (const [i, { name, width, height, text }] of SIZES.entries()) {
  const tag = i === 0 ? [] : "@long";
  test(`every main screen at ${name}: nothing cut, covered, too small or out of reach`, { tag }, async ({
    page,
  }) => {
    test.slow();
    await page.setViewportSize({ width, height });
    await page.addInitScript(
      (percent) =>
        document.addEventListener("DOMContentLoaded", () => {
          document.documentElement.style.fontSize = `${percent}%`;
        }),
      text,
    );
    const found: Record<string, string[]> = {};
    const look = async (what: string) => {
      const faults = await layoutFaults(page);
      if (faults.length > 0) found[what] = faults;
    };

    await page.goto("/");
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await look("the way in");
    await openFilledClub(page);
    const shared = await shareStart(page, "Noor Whitlock");
    // Names as long as names get, and from right to left.
    await makeStart(page, "Aleksandra-Konstantina Wolfeschlegelsteinhausenbergerdorff-Ruiz", 50);
    await look("an empty warm-up of somebody with a long name");
    await makeStart(page, "مريم عبد الرحمن بنت الحسين المنصوري", 55);

    await page.goto("/");
    await expect(page.getByRole("group", { name: /^Noor Whitlock/ })).toBeVisible();
    await press(page, "Move start");
    await look("Today, moving a start");
    await page.goto("/start/new");
    await expect(page.getByLabel("Event", { exact: true })).toBeVisible();
    await look("a new start");

    await page.goto("/");
    await page.getByRole("link", { name: /^Day of Noor Whitlock/ }).click();
    await expect(page.getByTestId("day")).toBeVisible();
    await look("a day");
    const id = page.url().split("/").at(-1);
    await page.goto(`/sheet/${id}`);
    await expect(page.getByRole("main").locator(".sheet")).toBeVisible();
    await look("a sheet to print");
    await page.goto(`/order/of/${id}`);
    await press(page, "Follow this order");
    await expect(page.getByTestId("on-now")).toBeVisible();
    await look("a running order");
    await page.goto("/start/list");
    const day = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    await page
      .getByLabel("Or paste it, heads first")
      .fill(`Name,Event,Date,Time\nNoor Whitlock,Final,${day},14:05\nNobody,Final,${day},25:00\n`);
    await look("a start list to choose");
    await press(page, "Read what was pasted");
    await expect(page.getByText(/^1 new, /)).toBeVisible();
    await look("a start list");

    for (const [to, heading] of [
      ["/first", "Your first warm-up"],
      ["/shelf", "Shelf"],
      ["/log", "Log"],
      ["/club", "Club"],
      ["/club/athletes", "Athletes"],
      ["/club/events", "Events"],
      ["/club/figures", "Figures"],
      ["/club/calendars", "Calendars"],
      ["/club/members", "Members"],
      ["/club/history", "Who changed what"],
      ["/account", "Account"],
    ] as const) {
      await page.goto(to);
      await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
      await expect(page.getByText(/^Loading/)).toHaveCount(0);
      await look(`${heading} (${to})`);
    }
    await page.goto("/shelf");
    await press(page, /^Open /);
    await look("a drill of the shelf");
    await page.goto("/log");
    // On a wide screen the log is a table, and the run stands beside it.
    const main = page.getByRole("main");
    await main.getByRole("link").or(main.getByRole("table").getByRole("button")).first().click();
    await expect(page.getByRole("list", { name: "Drills" })).toBeVisible();
    await look("a run in the log");
    await page.goto(shared);
    await expect(page.getByTestId("stair")).toBeVisible();
    await look("a shared warm-up");

    await page.goto("/");
    await openStart(page, "Noor Whitlock");
    await expect(page.getByTestId("stair")).toBeVisible();
    await look("a warm-up");
    // The dock is as high as it stays once the fit is known.
    await expect
      .configure({ soft: true })
      .poll(() => page.getByTestId("stair").evaluate((e) => e.clientHeight), "the stair's height")
      .toBeGreaterThan(140);
    await press(page, "Add");
    await press(page, /^Read /);
    await look("adding from the shelf");
    await press(page, "Make a ladder");
    await expect(page.getByText("Use these rungs")).toBeVisible();
    await look("making a ladder");
    await closeSheet(page);
    await page.getByTestId("stair").getByRole("button").nth(2).click();
    await look("a drill of the warm-up");
    if (width < 1000) await closeSheet(page);
    await page.getByTestId("given-up").click();
    await look("what was given up");
    await closeSheet(page);
    await page.getByTestId("state-line").click();
    await expect(page.getByRole("img", { name: "Tiredness, drawn" })).toBeVisible();
    await look("the forecast");
    await press(page, "Close");
    await page.getByTestId("to-look-at").click();
    await expect(page.getByRole("list", { name: "To look at" })).toBeVisible();
    await look("what there is to look at");
    await press(page, "Close");
    for (const [entry, ready] of [
      [/^The start/, "Event"],
      [/^Places/, "Place 1"],
      [/^Wait, steps/, null],
      [/^Earlier versions/, null],
      [/^Keep as a template/, null],
    ] as const) {
      await press(page, "More");
      await look("More, of the warm-up");
      await press(page, entry);
      if (ready) await expect(page.getByLabel(ready).first()).toBeVisible();
      await look(`More, ${entry.source}`);
      await closeSheet(page);
    }
    await press(page, "Share");
    await look("sharing");
    await closeSheet(page);

    await press(page, "Run");
    await expect(page.getByRole("button", { name: "Begin", exact: true }).first()).toBeVisible();
    await look("a run, ready");
    await press(page, "Begin");
    await look("a run, under way");
    expect
      .soft(
        await page
          .getByRole("timer")
          .first()
          .evaluate((e) => e.getBoundingClientRect().height),
        "the timer's height",
      )
      .toBeGreaterThan(48);
    await press(page, "More");
    await look("a run's More");
    await closeSheet(page);

    await openStart(page, "Ilse Marrow");
    await givePlan(page, [GATE], { wait: { leastSeconds: 60, longestSeconds: 600 } });
    await press(page, "Run");
    await press(page, "Begin");
    await expect(page.getByRole("button", { name: "Hit", exact: true }).first()).toBeVisible();
    await look("a gate");
    await press(page, "Skip");
    await expect(page.getByTestId("prompt").first()).toBeVisible();
    await look("the wait before the start");
    await press(page, "End the run");
    await press(page, "End and keep it in the log");
    await look("after a run");
    expect(found).toEqual({});
  });
}
