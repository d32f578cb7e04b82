import { expect, test } from "@playwright/test";
import { beginRun, clubApi, controlClock, givePlan, makeStart, openDemo } from "../../coach";

test.beforeEach(({ page }) => openDemo(page));

test("a device whose clock is ten minutes fast is corrected by the server's, and that is said and logged", async ({
  page,
}) => {
  await page.clock.install({ time: Date.now() + 600_000 });
  await makeStart(page, "Synne Vik", 60);
  await givePlan(page, [{ name: "Easy laps" }]);
  await beginRun(page);
  await expect(
    page.getByText("This device's clock is 10 min fast; the run is corrected for it.").first(),
  ).toBeVisible();
  // An hour from now, not fifty minutes.
  await expect(page.getByText(/^start −(1:00:00|5[89]:\d\d)$/).first()).toBeVisible();
  const run = page.url().split("/").at(-1);
  const api = await clubApi(page);
  const events = async () => (await (await page.request.get(`${api}/runs/${run}`)).json()).events ?? [];
  await expect.poll(async () => (await events()).map((e: { kind: string }) => e.kind)).toContain("clock");
  const begin = (await events()).find((e: { kind: string }) => e.kind === "begin");
  expect(Math.abs(Date.parse(begin.at) - Date.now())).toBeLessThan(60_000);
});

test("a run that begins by itself counts down to it, and then begins", { tag: "@long" }, async ({ page }) => {
  await controlClock(page);
  await makeStart(page, "Una Berg", 12);
  await givePlan(page, [{ name: "Easy laps" }]);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("checkbox", { name: "Begins by itself" }).click();
  await page.getByRole("button", { name: "Close" }).click();
  const wait = page.getByText(/^Begins by itself in/).first();
  await expect(wait).toBeVisible();
  // Two minutes of laps and five of wait before the start, to the minute it is given in.
  const until = await page.evaluate(() => {
    const text = document.querySelector("[role=main]")?.textContent ?? "";
    const [, minutes = "0", seconds = "0"] = /start −(\d+):(\d\d)/.exec(text) ?? [];
    return Number(minutes) * 60 + Number(seconds) - 420;
  });
  await page.clock.fastForward((until - 6) * 1000);
  await expect(page.getByText("Begins in").first()).toBeVisible();
  await page.clock.runFor(9_000);
  await expect(page.getByText("1 of 1").first()).toBeVisible();
});

test("midnight and the end of summer time in between change nothing for a run", { tag: "@long" }, async ({
  page,
}) => {
  await page.clock.install({ time: new Date("2026-10-24T21:50:00.000Z") });
  // The server's answers are of another day altogether: it is away, and only the device's clock counts.
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page.evaluate(() => {
    const drill = (itemId: string, name: string, plannedSeconds: number) => ({
      itemId,
      name,
      phase: "raise",
      intensity: 20,
      focus: "",
      place: "",
      words: "",
      plannedSeconds,
    });
    const id = "12121212-1212-4212-8212-121212121212";
    const startsAt = "2026-10-25T02:30:00.000Z";
    const drills = [drill(id, "Long night", 14_400), drill(id.replace(/1/g, "3"), "Morning", 600)];
    const about = {
      id,
      startId: null,
      athleteName: "Nova",
      title: "Night",
      venue: "",
      zone: "Europe/Vienna",
      startsAt,
    };
    localStorage.setItem(
      `run:${id}`,
      JSON.stringify({ clubId: id, run: { ...about, plan: { drills, waitSeconds: 0, startsAt } } }),
    );
    const begin = { id: id.replace(/1/g, "4"), at: "2026-10-24T21:50:00.000Z", kind: "begin" };
    const pressed = { events: [begin], created: true, recorded: [begin.id], refused: null };
    localStorage.setItem(`run-presses:${id}`, JSON.stringify(pressed));
  });
  await page.route("**/api/**", (route) => route.abort());
  // What the first visit has learned of the time is forgotten.
  await page.addInitScript(() => localStorage.removeItem("clock-ahead"));
  await page.goto("/run/12121212-1212-4212-8212-121212121212");
  // Over midnight at the venue, and over the hour that is there twice.
  await page.clock.fastForward(3 * 3_600_000);
  await expect(page.getByRole("timer").first()).toHaveText(/^(59:\d\d|1:00:00)$/);
  await expect(page.getByText(/^start −1:(39|40):\d\d$/).first()).toBeVisible();
});
