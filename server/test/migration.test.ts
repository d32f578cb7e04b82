import { randomUUID } from "node:crypto";
import { ownerlessClubs } from "../src/access/session/ownerLink";
import { buildApp } from "../src/app";
import { connect } from "../src/db/connect";
import { migrate } from "../src/db/migrate";
import { migrations } from "../src/db/migrations";
import { planBody, runInput } from "./make";
import { freshDatabase, testOptions } from "./testServer";

const ids = (n: number) => Array.from({ length: n }, () => randomUUID()) as [string, ...string[]];

it("brings the release before trust over: demos apart, links with their makers, poison out, all else as it was", async () => {
  const url = await freshDatabase();
  const database = connect(url);
  const { sequelize, models } = database;
  await sequelize.query(`CREATE TABLE "SequelizeMeta" (name varchar(255) PRIMARY KEY)`);
  for (const { name, up } of migrations.slice(0, 5)) {
    await up({ context: sequelize.getQueryInterface() } as never);
    await sequelize.query(`INSERT INTO "SequelizeMeta" VALUES ('${name}')`);
  }
  const [real, demo, joined] = ids(3) as string[];
  const [vera, henrike, bo] = ids(3) as string[];
  const [athlete, start, plan, run] = ids(4) as string[];
  const [known, unknown, share, event] = ids(4) as string[];
  const far = JSON.stringify({ id: event, kind: "begin", at: "2099-01-01T00:00:00.000Z" });
  const body = JSON.stringify(planBody("Lap\u202es"));
  await sequelize.query(
    `INSERT INTO clubs (id, name, demo) VALUES ('${real}', 'Ours\u200b', false), ('${demo}', 'Demo', true), ('${joined}', 'Joined demo', true);
    INSERT INTO users (id, email, name, password_hash) VALUES ('${vera}', 'v@example.org', 'Vera', 'x'),
      ('${henrike}', 'henrike@demo.invalid', 'Henrike', NULL), ('${bo}', 'bo@example.org', 'Bo', 'x');
    INSERT INTO sessions (id, user_id, token_hash, expires_at) VALUES ('${randomUUID()}', '${henrike}', 'a', now() + interval '1 day'),
      ('${randomUUID()}', '${vera}', 'b', now() + interval '1 day');
    INSERT INTO members (club_id, user_id, role) VALUES ('${real}', '${vera}', 'owner'), ('${demo}', '${henrike}', 'owner'),
      ('${joined}', '${henrike}', 'owner'), ('${joined}', '${bo}', 'coach');
    INSERT INTO athletes (id, club_id, name, version) VALUES ('${athlete}', '${real}', 'Ada', 2000000000);
    INSERT INTO starts (id, club_id, athlete_id, title, venue, zone, starts_at, ready_at)
      VALUES ('${start}', '${real}', '${athlete}', 'Final', '', 'UTC', now() + interval '1 day', now() + interval '23 hours');
    INSERT INTO plans (id, club_id, start_id, body) VALUES ('${plan}', '${real}', '${start}', :body);
    INSERT INTO runs (id, club_id, start_id, athlete_id, athlete_name, title, venue, zone, starts_at, plan)
      VALUES ('${run}', '${real}', '${start}', '${athlete}', 'Ada', 'Final', '', 'UTC', now(), :run);
    INSERT INTO run_events (id, club_id, run_id, event) VALUES ('${event}', '${real}', '${run}', :far);
    INSERT INTO invites (id, club_id, role, token_hash, expires_at) VALUES
      ('${known}', '${real}', 'coach', 'c', now() + interval '7 days'), ('${unknown}', '${real}', 'owner', 'd', now() + interval '7 days');
    INSERT INTO shares (id, club_id, start_id, token_hash) VALUES ('${share}', '${real}', '${start}', 'e');
    INSERT INTO audit_entries (club_id, user_id, action, subject_id) VALUES
      ('${real}', '${vera}', 'invite.make', '${known}'), ('${real}', '${vera}', 'share.make', '${start}')`,
    { replacements: { body, run: JSON.stringify(runInput(start as string).plan), far } },
  );

  expect(await migrate(url)).toEqual([
    "0006-trust",
    "0007-deleted-starts",
    "0008-figures",
    "0009-days",
    "0010-orders",
    "0011-calendars",
    "0012-press-order",
  ]);
  // The demo to which somebody real belongs is a club like others, for whoever runs the server to give an owner.
  const clubs = await models.Club.findAll({ order: ["name"] });
  expect(clubs.map((c) => [c.name, c.demo])).toEqual([
    ["Joined demo", false],
    ["Ours", false],
  ]);
  expect(await ownerlessClubs(database)).toEqual([{ id: joined, name: "Joined demo" }]);
  expect((await models.User.findAll({ order: ["name"] })).map((u) => u.name)).toEqual(["Bo", "Vera"]);
  expect(await models.Session.count()).toBe(1);
  // Links go by their makers, and one whose maker nobody knows is over.
  expect((await models.Invite.findOne({ where: { id: known } }))?.madeBy).toBe(vera);
  expect((await models.Invite.findOne({ where: { id: unknown } }))?.withdrawnAt).not.toBeNull();
  expect(await models.Share.findOne({ where: { id: share } })).toMatchObject({
    madeBy: vera,
    withdrawnAt: null,
  });
  // What earlier releases let in is mended, and can be read and written.
  const pressed = await models.RunEvent.findOne({ where: { id: event } });
  expect(Math.abs(Date.parse(pressed?.event.at ?? "") - Date.now())).toBeLessThan(60_000);
  expect(await models.Run.findOne({ where: { id: run } })).toMatchObject({ presses: 1, summary: null });
  expect((await models.Plan.findOne({ where: { id: plan } }))?.body.items[0]?.name).toBe("Laps");
  expect((await models.Athlete.findOne({ where: { id: athlete } }))?.version).toBe(1_000_000);
  const app = await buildApp(database, testOptions(url));
  expect((await app.inject("/ready")).statusCode).toBe(200);
  await app.close();
  await sequelize.close();
});
