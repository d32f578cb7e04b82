import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { freePort } from "../../../scripts/lib/ports.mjs";
import { Cluster } from "../../../scripts/lib/postgres.mjs";
import { freshSecret } from "../../../scripts/lib/secret.mjs";
import { ServerProcess } from "../../../scripts/lib/server.mjs";
import { expectAccessible } from "../../coach";

const root = path.resolve(import.meta.dirname, "../../..");

let home: string;
let cluster: Cluster;
let server: ServerProcess;
let base: string;

test.beforeAll(async () => {
  home = mkdtempSync(path.join(os.tmpdir(), "tonodrome-access-"));
  cluster = await Cluster.prepare(home);
  await cluster.start();
  const port = await freePort();
  base = `http://127.0.0.1:${port}`;
  server = new ServerProcess({
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    TONODROME_WEB: path.join(root, "app", "dist"),
    PORT: String(port),
  });
  expect(await server.start()).toBeNull();
});
test.afterAll(async () => {
  await server.stop();
  await cluster.stop();
  cluster.remove();
  rmSync(home, { recursive: true, force: true });
});

/** Runs the operator's command beside the running server; what it says. */
function access(...args: string[]): string {
  const { stdout } = spawnSync(process.execPath, ["scripts/access.mjs", ...args], {
    cwd: root,
    encoding: "utf8",
    env: { ...process.env, TONODROME_DATA: home, DATABASE_URL: "" },
  });
  return stdout;
}

const linkIn = (said: string) => /(\/(?:reset|join)\/[\w-]+)/.exec(said)?.[1] as string;

test("who forgot their password gets a link from whoever runs the server, once; and deletes their account in the end", {
  tag: "@long",
}, async ({ page }) => {
  test.setTimeout(120_000);
  const email = "vera@example.org";
  const data = { name: "Vera Holt", email, password: "a long enough password", clubName: "Forgotten" };
  expect((await page.request.post(`${base}/api/auth/sign-up`, { data })).ok()).toBe(true);
  await page.context().clearCookies();

  expect(access("reset-link", "nobody@example.org")).toContain("Nobody has the address");
  const link = linkIn(access("reset-link", email));
  await page.goto(`${base}${link}`);
  await expectAccessible(page);
  await page.getByLabel("New password").fill("1234567890");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(page.getByText("among the first to be guessed")).toBeVisible();
  await page.getByLabel("New password").fill("three other words");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  await page.goto(`${base}${link}`);
  await page.getByLabel("New password").fill("three more words");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(page.getByText("This link was used already")).toBeVisible();

  await page.goto(`${base}/account`);
  await page.getByLabel("Your password").fill("a long enough password");
  await page.getByRole("button", { name: "Delete my account for good" }).click();
  await expect(page.getByText("This is not your present password")).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel("Your password").fill("three other words");
  await page.getByRole("button", { name: "Delete my account for good" }).click();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  const again = await page.request.post(`${base}/api/auth/sign-in`, {
    data: { email, password: "three other words" },
  });
  expect(again.status()).toBe(401);
});

test("a club whose owner is lost gets another by the operator's link, and its owners see all that is open", {
  tag: "@long",
}, async ({ page }) => {
  test.setTimeout(120_000);
  const data = {
    name: "Bo Larch",
    email: "bo@example.org",
    password: "a long enough password",
    clubName: "Orphaned",
  };
  expect((await page.request.post(`${base}/api/auth/sign-up`, { data })).ok()).toBe(true);
  await page.context().clearCookies();
  expect(access("owner-link", "No such club")).toContain("There is no club");
  await page.goto(`${base}${linkIn(access("owner-link", "Orphaned"))}`);
  await page.getByLabel("Your name").fill("Vera Holt");
  await page.getByLabel("E-mail").fill("vera.holt@example.org");
  await page.getByLabel("Password").fill("a long enough password");
  await page.getByRole("button", { name: "Join Orphaned" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();

  const me = await (await page.request.get(`${base}/api/me`)).json();
  const api = `${base}/api/clubs/${me.clubs[0].id}`;
  const athlete = await (await page.request.post(`${api}/athletes`, { data: { name: "Ada Finch" } })).json();
  const start = await page.request.post(`${api}/starts`, {
    data: {
      athleteId: athlete.id,
      title: "Final",
      venue: "",
      zone: "UTC",
      startsAt: "2098-06-01T12:30:00.000Z",
      readyAt: "2098-06-01T11:45:00.000Z",
    },
  });
  const shares = `${api}/starts/${(await start.json()).id}/shares`;
  expect((await page.request.post(shares, { data: { until: "day" } })).ok()).toBe(true);
  await page.goto(`${base}/club/members`);
  const links = page.getByRole("list", { name: "Shared warm-ups" });
  await expect(links).toContainText("Ada Finch, Final");
  await expect(links).toContainText("Made by Vera Holt");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Withdraw the link to Final" }).click();
  await expect(links).toHaveCount(0);
});
