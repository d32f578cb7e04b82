import { expect, test } from "@playwright/test";
import { clubApi, expectAccessible, openDemo } from "../../coach";

test("a day calls when to begin, wherever one is; off until it is pressed, and never twice", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  const { starts } = await (await page.request.get(`${await clubApi(page)}/starts`)).json();
  const start = starts.findLast((s: { athlete: { name: string } }) => s.athlete.name === "Pia Sandgren");
  await page.clock.install({ time: Date.now() });
  await page.goto(`/day/${start.id}`);
  await expect(page.getByTestId("day")).toBeVisible();
  // It is only on once it will call, whatever becomes of the network.
  await page.context().setOffline(true);
  await page.getByRole("button", { name: "Alarms are off" }).click();
  await expect(page.getByRole("button", { name: "No network: press again" })).toBeVisible();
  await page.context().setOffline(false);
  await page.getByRole("button", { name: "No network: press again" }).click();
  await expect(page.getByRole("button", { name: "Alarms are on" })).toBeVisible();
  await page.getByRole("link", { name: "Log", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Log" })).toBeVisible();
  // Nobody says what time it really is; and in a hall there is no network.
  await page.context().setOffline(true);
  const alarm = page.getByRole("alert").filter({ hasText: "Begin the warm-up now" });
  await expect(alarm).toHaveCount(0);
  // An hour and a half before it, and then minute by minute: by the start it has been called.
  const early = Date.parse(start.startsAt) - 5_400_000 - Date.now();
  if (early > 0) await page.clock.fastForward(early);
  for (let minute = 0; minute < 91 && (await alarm.count()) === 0; minute++)
    await page.clock.fastForward(60_000);
  await expect(alarm).toContainText("Pia Sandgren");
  await expectAccessible(page);
  await alarm.getByRole("button", { name: "Close" }).click();
  await expect(alarm).toHaveCount(0);
  // Nobody begins: with every minute there is less time for it, and still it is not called again.
  for (let minute = 0; minute < 4; minute++) {
    await page.clock.fastForward(60_000);
    await expect(alarm).toHaveCount(0);
  }
  await page.context().setOffline(false);
  await page.goto(`/day/${start.id}`);
  await page.getByRole("button", { name: "Alarms are on" }).click();
  expect(await page.evaluate(() => localStorage.getItem("alarms"))).toBeNull();
});
