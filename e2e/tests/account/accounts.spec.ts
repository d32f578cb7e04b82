import { readFileSync } from "node:fs";
import { type Browser, type BrowserContext, expect, type Page, test } from "@playwright/test";
import {
  addDrills,
  expectAccessible,
  makeStart,
  openDemo,
  openFilledClub,
  openStart,
  saved,
  shareStart,
  stairNames,
} from "../../coach";

const PASSWORD = "a sentence to sign in with";
let people = 0;
const newEmail = () => `person${++people}.${Date.now()}@example.org`;

/** Signs up through the form and ends on Today of a club of one's own. */
async function signUp(page: Page, name: string, club: string): Promise<string> {
  const email = newEmail();
  await page.goto("/");
  await page.getByRole("link", { name: "Create an account and a club" }).click();
  await page.getByLabel("Name of your club").fill(club);
  await page.getByLabel("Your name").fill(name);
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Create account and club" }).click();
  await page.getByRole("link", { name: "Later, straight to Today" }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  return email;
}

const devices: BrowserContext[] = [];
test.afterEach(async () => {
  for (const device of devices.splice(0)) await device.close();
});

/** A page of somebody else's, on another device. */
async function elsewhere(browser: Browser): Promise<Page> {
  const device = await browser.newContext();
  devices.push(device);
  return device.newPage();
}

/** Invites through the sheet and gives the link. */
async function invite(page: Page, role: string): Promise<string> {
  await page.goto("/club/members");
  await page.getByRole("button", { name: "Invite" }).click();
  await page.getByRole("dialog").getByRole("radio", { name: role }).click();
  await page.getByRole("button", { name: "Make the link" }).click();
  const link = await page.getByLabel("Invitation", { exact: true }).inputValue();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Close" }).click();
  return link;
}

/** Joins as somebody new by a link. */
async function join(page: Page, link: string, name: string): Promise<void> {
  await page.goto(link);
  await page.getByLabel("Your name").fill(name);
  await page.getByLabel("E-mail").fill(newEmail());
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: /^Join / }).click();
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
}

test("the first page asks to sign in and opens the demo in one press, and every page keeps to the content policy", async ({
  page,
}) => {
  const refused: string[] = [];
  page.on("console", (message) => {
    if (/Content Security Policy|Refused to/.test(message.text())) refused.push(message.text());
  });
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Open the demo club" }).click();
  await expect(page.getByRole("group", { name: /^Ilse Marrow/ })).toBeVisible();
  for (const place of ["Shelf", "Log", "Club"]) {
    await page.getByRole("link", { name: place }).click();
    await expect(page.getByText("Loading …")).toHaveCount(0);
  }
  for (const name of ["Members", "Athletes", "History", "Your account"]) {
    await page.getByRole("link", { name }).click();
    await expect(page.getByText("Loading …")).toHaveCount(0);
    await expectAccessible(page);
    await page.getByRole("button", { name: "Back" }).click();
  }
  await openStart(page, "Ilse Marrow");
  expect(refused).toEqual([]);
});

test("an owner invites a coach by a link; the role lowered while they look takes effect before their eyes", async ({
  page,
  browser,
}) => {
  await signUp(page, "Vera Holt", "Sõpruse 冰 Club");
  await makeStart(page, "Ada Finch");
  const link = await invite(page, "Coach");
  const other = await elsewhere(browser);
  await join(other, link, "Tomás O'Neill");
  await expect(other.getByText("Sõpruse 冰 Club")).toBeVisible();
  await expect(other.getByRole("button", { name: "New start" })).toBeVisible();
  await other.getByRole("link", { name: "Club" }).click();
  await expect(other.getByText("You are here as a coach")).toBeVisible();
  await expect(other.getByRole("link", { name: "Members" })).toHaveCount(0);
  await expect(other.getByRole("button", { name: "Delete the club" })).toHaveCount(0);
  await other.getByRole("link", { name: "Today" }).click();

  // The link is used up.
  const third = await elsewhere(browser);
  await third.goto(link);
  await expect(third.getByText("has been used already")).toBeVisible();
  await third.goto(`${link}x`);
  await expect(third.getByText("There is no such invitation")).toBeVisible();
  await expectAccessible(third);

  await page.goto("/club/members");
  await page.getByRole("button", { name: "Change Tomás O'Neill" }).click();
  await page.getByRole("dialog").getByRole("radio", { name: "Assistant" }).click();
  await expectAccessible(page);
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/^Assistant, person/)).toBeVisible();

  await expect(other.getByRole("button", { name: "New start" })).toHaveCount(0);
  await openStart(other, "Ada Finch");
  await expect(other.getByText("A coach of the club has not built this warm-up")).toBeVisible();
  await expect(other.getByRole("button", { name: "Add", exact: true })).toHaveCount(0);

  await page.getByRole("button", { name: "Change Tomás O'Neill" }).click();
  await page.getByRole("button", { name: "Remove from the club" }).click();
  await page.getByRole("button", { name: "Remove them" }).click();
  await expect(other.getByRole("heading", { name: "You belong to no club" })).toBeVisible();
  await expect(other.getByText("Ada Finch")).toHaveCount(0);

  await page.goto("/club/history");
  await expect(page.getByText("Vera Holt changed Tomás O'Neill from coach to assistant")).toBeVisible();
  await expect(page.getByText("Vera Holt took Tomás O'Neill out of the club")).toBeVisible();
});

test("one person in two clubs goes from one to the other, and sees of each only its own", {
  tag: "@long",
}, async ({ page }) => {
  await signUp(page, "Vera Holt", "Morning club");
  await makeStart(page, "Ada Finch");
  await page.goto("/account");
  await page.getByLabel("Name of the new club").fill("Evening club");
  await page.getByRole("button", { name: "Make the club" }).click();
  await expect(page.getByText("Evening club")).toBeVisible();
  await expect(page.getByText("No starts ahead", { exact: false })).toBeVisible();
  await page.reload();
  await expect(page.getByText("Evening club")).toBeVisible();
  await page.goto("/account");
  await page.getByRole("radio", { name: "Morning club, Owner" }).click();
  await expect(page.getByRole("group", { name: /^Ada Finch/ })).toBeVisible();
});

test("the last owner can neither lower themselves nor leave", { tag: "@long" }, async ({ page }) => {
  await signUp(page, "Vera Holt", "Lone club");
  await page.goto("/club/members");
  await page.getByRole("button", { name: "Change Vera Holt" }).click();
  await page.getByRole("dialog").getByRole("radio", { name: "Coach" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("A club keeps at least one owner")).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
  await page.goto("/club");
  await page.getByRole("button", { name: "Leave the club" }).click();
  await page.getByRole("button", { name: "Leave now" }).click();
  await expect(page.getByText("A club keeps at least one owner")).toBeVisible();
});

test("signing out and in comes back to the same address; a wrong password says so; the password is changed", {
  tag: "@long",
}, async ({ page }) => {
  const email = await signUp(page, "Vera Holt", "Door club");
  await page.goto("/account");
  await page.getByLabel("Current password").fill("not it at all");
  await page.getByLabel("New password").fill("another sentence");
  await page.getByRole("button", { name: "Change the password" }).click();
  await expect(page.getByText("This is not your present password")).toBeVisible();
  await page.getByLabel("Current password").fill(PASSWORD);
  await page.getByRole("button", { name: "Change the password" }).click();
  await expect(page.getByText("Changed. Every other device is signed out.")).toBeVisible();
  await page.getByRole("button", { name: "Sign out", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();

  await page.goto("/club/members");
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByText("Wrong e-mail or password.")).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel("Password").fill("another sentence");
  await page.getByLabel("Password").press("Enter");
  await expect(page.getByRole("heading", { name: "Members" })).toBeVisible();
  await expect(page.getByText("Vera Holt (you)")).toBeVisible();
});

test("signing out everywhere ends the session on every other device", { tag: "@long" }, async ({
  page,
  browser,
}) => {
  const email = await signUp(page, "Vera Holt", "Lost phone club");
  const phone = await elsewhere(browser);
  await phone.goto("/");
  await phone.getByLabel("E-mail").fill(email);
  await phone.getByLabel("Password").fill(PASSWORD);
  await phone.getByRole("button", { name: "Sign in" }).click();
  await expect(phone.getByText("Lost phone club").first()).toBeVisible();
  await page.goto("/account");
  await page.getByRole("button", { name: "Sign out everywhere" }).click();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole("heading", { name: "Sign in" })).toBeVisible();
});

test("a form says what is missing, and an address that is taken", { tag: "@long" }, async ({
  page,
  browser,
}) => {
  const email = await signUp(page, "Vera Holt", "First club");
  const other = await elsewhere(browser);
  await other.goto("/sign-up");
  await other.getByRole("button", { name: "Create account and club" }).click();
  await expect(other.getByText("Give a name.")).toHaveCount(2);
  await expect(other.getByText("Use at least 10 characters.")).toBeVisible();
  await other.getByLabel("Name of your club").fill("Second club");
  await other.getByLabel("Your name").fill("Vera Holt");
  await other.getByLabel("E-mail").fill(email);
  await other.getByLabel("Password").fill("1234567890");
  await other.getByRole("button", { name: "Create account and club" }).click();
  await expect(other.getByText("among the first to be guessed")).toBeVisible();
  await other.getByLabel("Password").fill("another person's password");
  await other.getByRole("button", { name: "Create account and club" }).click();
  await expect(other.getByText("This address has an account already")).toBeVisible();
  await expect(other.getByLabel("Name of your club")).toHaveValue("Second club");
  await expectAccessible(other);
});

test("a session that ends while a warm-up is edited loses nothing", { tag: "@long" }, async ({
  page,
  context,
}) => {
  const email = await signUp(page, "Vera Holt", "Long evening");
  await makeStart(page, "Ada Finch");
  await page.goto("/shelf");
  await page.getByRole("button", { name: "New drill" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Hop ladder");
  await page.getByRole("button", { name: "Put on the shelf" }).click();
  await expect(page.getByText("Hop ladder")).toBeVisible();
  await openStart(page, "Ada Finch");
  await addDrills(page, "Hop ladder");
  await context.clearCookies();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  // It is one's own, and the page was never left: it is saved as soon as one is known again.
  await saved(page);
  expect(await stairNames(page)).toEqual(["Hop ladder"]);
  await page.reload();
  await expect.poll(() => stairNames(page)).toEqual(["Hop ladder"]);
});

test("a shared warm-up needs no account, follows plan and start by itself, cannot be changed, and is withdrawn", {
  tag: "@long",
}, async ({ page, browser }) => {
  await openDemo(page);
  await makeStart(page, "Juno Albrecht", 90);
  await addDrills(page, "Leg swings", "Landing holds");
  await saved(page);
  const link = await shareStart(page, "Juno Albrecht");

  const other = await elsewhere(browser);
  await other.goto(link);
  await expect(other.getByText("Juno Albrecht")).toBeVisible();
  await expect(other.getByText("Aldermere Figure Skating Club", { exact: false })).toBeVisible();
  await expect.poll(() => stairNames(other)).toEqual(["Leg swings", "Landing holds"]);
  await expectAccessible(other);
  await expect(other.getByRole("button", { name: /^(Save|Add|Run|Share)$/ })).toHaveCount(0);
  await other.getByRole("button", { name: /^Landing holds/ }).click();
  await expect(other.getByTestId("stair")).toContainText("One quiet sound");
  await expectAccessible(other);

  await addDrills(page, "Walking lunges");
  await saved(page);
  await expect.poll(() => stairNames(other)).toContain("Walking lunges");

  await page.goto("/");
  const card = page.getByRole("group", { name: /^Juno Albrecht/ });
  await card.getByRole("button", { name: "Move start" }).click();
  await card.getByRole("button", { name: "+5 min" }).click();
  await expect(card.getByText(/^Start moved to /)).toBeVisible();
  const time = (await card.getByText(/^Start moved to /).textContent())?.match(/\d\d:\d\d/)?.[0] ?? "?";
  await expect(other.getByText(time, { exact: true })).toBeVisible();

  await openStart(page, "Juno Albrecht");
  await page.getByRole("button", { name: "Share" }).click();
  // One that is made and withdrawn at once is gone from the sheet with it.
  await page.getByRole("button", { name: "Make a link" }).click();
  await expect(page.getByLabel("Link", { exact: true })).toBeVisible();
  const withdraw = page.getByRole("listitem").getByRole("button", { name: "Withdraw" });
  for (const left of [2, 1]) {
    await expect(withdraw).toHaveCount(left);
    await withdraw.first().click();
  }
  await expect(page.getByText("None.")).toBeVisible();
  await expect(page.getByLabel("Link", { exact: true })).toHaveCount(0);
  await expect(other.getByText("This link was withdrawn")).toBeVisible();
  await expect(other.getByText("Juno Albrecht")).toHaveCount(0);
  await other.reload();
  await expect(other.getByText("This link was withdrawn")).toBeVisible();
});

test("an athlete sees their own warm-ups and runs only, to read", async ({ page, browser }) => {
  await openFilledClub(page);
  await page.goto("/club/members");
  await page.getByRole("button", { name: "Invite" }).click();
  await page.getByRole("dialog").getByRole("radio", { name: "Athlete", exact: true }).click();
  await page.getByRole("dialog").getByRole("radio", { name: "Noor Whitlock" }).click();
  await page.getByRole("button", { name: "Make the link" }).click();
  const link = await page.getByLabel("Invitation", { exact: true }).inputValue();
  const other = await elsewhere(browser);
  await join(other, link, "Noor Whitlock");
  await expect(other.getByRole("group")).toHaveCount(1);
  await expect(other.getByRole("group", { name: /^Noor Whitlock/ })).toBeVisible();
  await expect(other.getByRole("link", { name: "Shelf" })).toHaveCount(0);
  await openStart(other, "Noor Whitlock");
  await expect(other.getByRole("button", { name: "Run", exact: true })).toHaveCount(0);
  await other.getByRole("button", { name: /^Landing holds/ }).click();
  await expect(other.getByTestId("opened")).toContainText("One quiet sound");
  await expect(other.getByRole("button", { name: /^(Remove|Edit)$/ })).toHaveCount(0);
  await expectAccessible(other);
});

test("a club is exported, imported into an empty one, found the same, and deleted by its name", {
  tag: "@long",
}, async ({ page }) => {
  await openDemo(page);
  const download = async () => {
    await page.goto("/club");
    await page.getByRole("button", { name: "Export or import" }).click();
    const [file] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Export the club" }).click(),
    ]);
    return file.path();
  };
  const first = await download();
  const { name } = JSON.parse(readFileSync(first, "utf8").split("\n")[0] as string);
  await page.context().clearCookies();
  await signUp(page, "Vera Holt", "Empty club");
  await page.goto("/club");
  await page.getByRole("button", { name: "Export or import" }).click();
  await expectAccessible(page);
  const take = (file: string | { name: string; mimeType: string; buffer: Buffer }) =>
    page.getByLabel("File to import").setInputFiles(file);
  const text = (json: string) => ({
    name: "club.json",
    mimeType: "application/json",
    buffer: Buffer.from(json),
  });
  await take(text("{"));
  await expect(page.getByText("not JSON", { exact: false })).toBeVisible();
  await take(text(JSON.stringify({ format: "tonodrome-club", version: 7 })));
  await expect(page.getByText("This server reads exports of version 3", { exact: false })).toBeVisible();
  const [head = "", ...rest] = readFileSync(first, "utf8").split("\n");
  await take(text([head, "{}", ...rest].join("\n")));
  await expect(page.getByText("Line 2", { exact: false })).toBeVisible();
  await page.getByRole("radio", { name: "Take the file's" }).click();
  await take(first);
  await expect(page.getByText("Imported. Everything is where it was.")).toBeVisible();
  await take(first);
  await expect(page.getByText("There is something in this club already", { exact: false })).toBeVisible();
  const second = await download();
  expect(readFileSync(second, "utf8")).toBe(readFileSync(first, "utf8"));

  await page.goto("/");
  await expect(page.getByRole("group", { name: /^Ilse Marrow/ })).toBeVisible();
  await page.goto("/club");
  await page.getByRole("button", { name: "Delete the club" }).click();
  await page.getByLabel("Name of the club").fill("Something else");
  await page.getByRole("button", { name: "Delete it for good" }).click();
  await expect(page.getByText("This is not the club's name")).toBeVisible();
  await page.getByLabel("Name of the club").fill(name);
  await page.getByRole("button", { name: "Delete it for good" }).click();
  await expect(page.getByRole("heading", { name: "You belong to no club" })).toBeVisible();
  await page.getByLabel("Name of the new club").fill("Fresh ice");
  await page.getByRole("button", { name: "Make the club" }).click();
  await expect(page.getByText("No starts ahead", { exact: false })).toBeVisible();
});

test("an athlete is made anonymous and another deleted", { tag: "@long" }, async ({ page }) => {
  await signUp(page, "Vera Holt", "Leaving club");
  await makeStart(page, "Ada Finch");
  await makeStart(page, "Bo Larch");
  await page.goto("/club/athletes");
  await page.getByRole("button", { name: "Remove Ada Finch" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Make anonymous" }).click();
  await expect(page.getByText(/^Athlete [0-9a-f]{6}$/)).toBeVisible();
  await page.getByRole("button", { name: "Remove Bo Larch" }).click();
  await page.getByRole("button", { name: "Delete with every start and run" }).click();
  await expect(page.getByText("Bo Larch")).toHaveCount(0);
  await page.goto("/");
  await expect(page.getByRole("group")).toHaveCount(1);
  await expect(page.getByRole("group", { name: /^Athlete / })).toBeVisible();
});
