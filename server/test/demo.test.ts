import { randomUUID } from "node:crypto";
import { contextOf, fitPlan, wallClock } from "@tonodrome/core";
import { demoRows } from "../src/demo/demoRows";
import { clearDemos } from "../src/demo/layDemo";
import { purge } from "../src/upkeep/purge";
import { makeStart } from "./make";
import { cookieOf, PASSWORD, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** Somebody who opens the demo. */
async function visitor(cookie?: string) {
  const answer = await server.send({ method: "POST", url: "/api/auth/demo" }, cookie);
  const me = answer.json();
  const own = cookieOf(answer);
  return { answer, me, cookie: own, clubId: me.clubs?.[0]?.id, ask: server.askWith(own, me.clubs?.[0]?.id) };
}

it("is an invented club on its competition day: it fits, is tight, and does not fit", async () => {
  const now = new Date("2026-06-01T22:40:30.000Z");
  const rows = demoRows(randomUUID(), now);
  expect(rows.athletes.length).toBeGreaterThanOrEqual(4);
  expect(rows.runs).toHaveLength(7);
  expect(rows.drills.length).toBeGreaterThan(20);
  expect(rows.day).toHaveLength(5);
  expect((rows.day[0]?.startsAt.getTime() ?? 0) - now.getTime()).toBeLessThan(3_600_000);
  const states = rows.day.map((start) => {
    const plan = rows.plans.find((p) => p.startId === start.id);
    const available = (start.startsAt.getTime() - start.readyAt.getTime()) / 1000;
    const facts = { points: [], places: [], usualReps: 0 };
    const day = contextOf({ startsAt: start.startsAt.toISOString(), setting: start.setting, facts });
    return plan && fitPlan(plan.body, available, day).state;
  });
  // The demo shows all three words, and no warm-up that only a mended ladder could save.
  expect(new Set(states)).toEqual(new Set(["fits", "tight", "short"]));
});

it("has trial runs in its log by day, wherever it is", () => {
  for (const zone of ["UTC", "Pacific/Auckland", "America/Los_Angeles"])
    for (const { startsAt } of demoRows(randomUUID(), new Date("2026-12-02T03:14:00.000Z"), zone).runs) {
      const hour = Number(wallClock(startsAt.toISOString(), zone).time.slice(0, 2));
      expect(hour).toBeGreaterThanOrEqual(10);
      expect(hour).toBeLessThanOrEqual(16);
      expect(startsAt.getTime()).toBeLessThan(Date.parse("2026-12-02T03:14:00.000Z"));
    }
});

it("is each visitor's own: what one does, nobody else sees, and signing out everywhere signs out nobody else", async () => {
  const [first, second] = [await visitor(), await visitor()];
  expect(first.me).toMatchObject({ demo: true, clubs: [{ demo: true, role: "owner" }] });
  expect(first.clubId).not.toBe(second.clubId);
  expect(first.me.id).not.toBe(second.me.id);
  await first.ask("POST", "/api/:club/athletes", { name: "Only mine" });
  expect(JSON.stringify((await second.ask("GET", "/api/:club/athletes")).body)).not.toContain("Only mine");
  expect((await server.askWith(first.cookie, second.clubId)("GET", "/api/:club/starts")).status).toBe(404);
  await first.ask("POST", "/api/me/sign-out-everywhere");
  expect((await first.ask("GET", "/api/me")).status).toBe(401);
  expect((await second.ask("GET", "/api/me")).status).toBe(200);
  await second.ask("DELETE", "/api/:club", { name: "Aldermere Figure Skating Club" });
  expect((await visitor()).me.clubs).toHaveLength(1);
});

it("goes on for whoever is in one already, and begins anew once theirs is gone", async () => {
  const first = await visitor();
  const again = await visitor(first.cookie);
  expect(again.me).toEqual(first.me);
  await server.models.Club.destroy({ where: { id: first.clubId } });
  const anew = await visitor(first.cookie);
  expect(anew.clubId).not.toBe(first.clubId);
});

it("never signs anybody in as a real person, nor brings one in: neither by the server's rules nor past them", async () => {
  const { ask, clubId, me } = await visitor();
  const invited = await ask("POST", "/api/:club/invites", { role: "owner", athleteId: null });
  expect(invited).toMatchObject({ status: 403, body: { code: "forbidden" } });
  // Past the rules, as if one of them were missing: the database itself keeps them apart.
  const { person } = await server.signUp();
  const join = (club: string, userId: string, demo: boolean) =>
    server.models.Member.create({ clubId: club, userId, role: "owner", athleteId: null, demo });
  await expect(join(clubId, person.userId, false)).rejects.toThrow();
  await expect(join(clubId, person.userId, true)).rejects.toThrow();
  await expect(join(server.clubId, me.id, false)).rejects.toThrow();
  await expect(join(server.clubId, me.id, true)).rejects.toThrow();
  expect((await visitor()).me.id).not.toBe(person.userId);
});

it("lets its visitors make, join, import and change nothing that would stay", async () => {
  const { ask, cookie, clubId } = await visitor();
  const { token } = (await server.ask("POST", "/api/:club/invites", { role: "coach", athleteId: null })).body;
  for (const [method, url, payload] of [
    ["POST", "/api/:club/invites", { role: "coach", athleteId: null }],
    ["POST", `/api/invites/${token}/accept`, undefined],
    ["POST", "/api/clubs", { name: "Mine" }],
    ["POST", "/api/me/password", { current: PASSWORD, next: "another long password" }],
    ["POST", "/api/me/delete", { password: PASSWORD }],
  ] as const) {
    expect([url, (await ask(method, url, payload)).body.code]).toEqual([url, "forbidden"]);
  }
  const imported = await server.send(
    { method: "POST", url: `/api/clubs/${clubId}/import`, payload: "{}" },
    cookie,
  );
  expect(imported.json()).toMatchObject({ code: "forbidden" });
  // Its people have no way in of their own.
  const signIn = await server.ask("POST", "/api/auth/sign-in", {
    email: "henrike@demo.invalid",
    password: "x",
  });
  expect(signIn.body.code).toBe("wrong_password");
});

it("stands open or closed as it is configured, also where demos were laid before", async () => {
  await visitor();
  const closed = await server.another({ demos: 0 });
  expect((await closed.inject("/api/auth")).json()).toMatchObject({ demo: false });
  expect((await closed.inject({ method: "POST", url: "/api/auth/demo" })).statusCode).toBe(404);
});

it("is laid for so many at once, makes room for the next when one's day is over, and leaves real clubs alone", async () => {
  const small = await testServer({ demos: 2 });
  const open = () => small.send({ method: "POST", url: "/api/auth/demo" });
  await makeStart(small);
  // All at the same moment.
  const answers = await Promise.all(Array.from({ length: 5 }, open));
  expect(answers.map((a) => a.statusCode).sort()).toEqual([200, 200, 429, 429, 429]);
  expect(await small.models.Club.count({ where: { demo: true } })).toBe(2);
  await small.sequelize.query(
    "UPDATE clubs SET created_at = now() - interval '25 hours' WHERE id = (SELECT id FROM clubs WHERE demo LIMIT 1)",
  );
  expect((await open()).statusCode).toBe(200);
  await small.sequelize.query("UPDATE clubs SET created_at = now() - interval '25 hours' WHERE demo");
  await small.sequelize.query("UPDATE users SET created_at = now() - interval '25 hours' WHERE demo");
  expect(await purge(small)).toBe(true);
  expect(await small.models.Club.count({ where: { demo: true } })).toBe(0);
  expect(await small.models.User.count({ where: { demo: true } })).toBe(0);
  await open();
  await clearDemos(small);
  expect(await small.models.Club.count()).toBe(1);
  expect((await small.ask("GET", "/api/:club/starts")).body.starts).toHaveLength(1);
  await small.close();
});

it("is opened so often from one machine and no more", async () => {
  const small = await testServer({ demosPerHour: 2 });
  const open = () =>
    small.send({ method: "POST", url: "/api/auth/demo", headers: { "x-forwarded-for": "10.3.3.3" } });
  expect([(await open()).statusCode, (await open()).statusCode, (await open()).statusCode]).toEqual([
    200, 200, 429,
  ]);
  await small.close();
});

it("is written in well under the time that anybody notices", async () => {
  await visitor();
  const before = performance.now();
  await visitor();
  console.log(`  a demo laid in ${Math.round(performance.now() - before)} ms`);
});
