import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import { QueryTypes } from "sequelize";
import { makeOwnerLink, ownerlessClubs } from "../src/access/session/ownerLink";
import { buildApp } from "../src/app";
import { connect } from "../src/db/connect";
import { migrate } from "../src/db/migrate";
import { firstTables } from "../src/db/migrations/0001-first-tables";
import { drillInput, makeStart, planBody } from "./make";
import { freshDatabase, type TestServer, testOptions, testServer } from "./testServer";

describe("the server", () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await testServer();
  });
  afterAll(() => server.close());

  it("says that it is up and that its database answers", async () => {
    expect((await server.ask("GET", "/health")).body).toEqual({ ok: true });
    expect((await server.ask("GET", "/ready")).body).toEqual({ ok: true });
  });

  it("keeps drills on the shelf", async () => {
    const drill = drillInput("Hops");
    const made = await server.ask("POST", "/api/:club/drills", drill);
    expect(made.body).toMatchObject({ name: "Hops", dose: drill.dose, version: 1, archived: false });
    const list = (await server.ask("GET", "/api/:club/drills")).body.drills;
    expect(list).toEqual([{ ...made.body, uses: 0 }]);
    expect((await server.ask("POST", "/api/:club/drills", { ...drill, name: "" })).body.path).toBe("name");
  });
});

it("stops after what it is doing: a save under way is finished and answered", async () => {
  const server = await testServer();
  const other = await server.another();
  const { plan } = await makeStart(server);
  await other.listen({ port: 0, host: "127.0.0.1" });
  const { port } = other.server.address() as AddressInfo;
  const held = await server.sequelize.transaction();
  await server.models.Plan.findOne({ where: { id: plan.id }, transaction: held, lock: held.LOCK.UPDATE });
  const save = fetch(`http://127.0.0.1:${port}/api/clubs/${server.clubId}/plans/${plan.id}`, {
    method: "PUT",
    headers: { "content-type": "application/json", cookie: server.owner.cookie },
    body: JSON.stringify({ version: 1, body: planBody("Laps") }),
  });
  const waiting =
    "SELECT 1 FROM pg_stat_activity WHERE wait_event_type = 'Lock' AND datname = current_database()";
  while ((await server.sequelize.query(waiting, { type: QueryTypes.SELECT })).length === 0);
  const closed = other.close();
  await held.commit();
  const answer = await save;
  expect(answer.status).toBe(200);
  expect(await answer.json()).toMatchObject({ version: 2 });
  await closed;
  await expect(fetch(`http://127.0.0.1:${port}/health`)).rejects.toThrow();
  await server.close();
});

it("answers 503, not 500, while the database is away", async () => {
  const url = "postgresql://nobody@127.0.0.1:1/none";
  const app = await buildApp(connect(url), testOptions(url));
  const answer = await app.inject("/api/auth");
  expect(answer.statusCode).toBe(503);
  expect(answer.json()).toMatchObject({
    code: "unavailable",
    message: expect.stringContaining("Nothing was saved"),
  });
  await app.close();
});

it("migrates from empty, twice without harm, and several servers at once", async () => {
  const url = await freshDatabase();
  const databases = [connect(url), connect(url), connect(url)];
  const applied = await Promise.all(databases.map(() => migrate(url)));
  expect(applied.flat()).toEqual([
    "0001-first-tables",
    "0002-accounts",
    "0003-shelf",
    "0004-building",
    "0005-listed",
    "0006-trust",
    "0007-deleted-starts",
    "0008-figures",
    "0009-days",
    "0010-orders",
    "0011-calendars",
    "0012-press-order",
  ]);
  expect(await migrate(url)).toEqual([]);
  const withoutClub = await databases[0]?.sequelize.query(
    `SELECT table_name FROM information_schema.tables t WHERE table_schema = 'public'
      AND table_name NOT IN ('clubs', 'users', 'sessions', 'password_resets', 'rate_limits', 'SequelizeMeta') AND NOT EXISTS (
        SELECT 1 FROM information_schema.columns c WHERE c.table_name = t.table_name AND c.column_name = 'club_id')`,
    { type: QueryTypes.SELECT },
  );
  expect(withoutClub).toEqual([]);
  await Promise.all(databases.map((d) => d.sequelize.close()));
});

it("migrates a database of the release before accounts, keeps all of it, and hands its club to whoever runs it", async () => {
  const url = await freshDatabase();
  const database = connect(url);
  const { sequelize, models } = database;
  await firstTables.up({ context: sequelize.getQueryInterface() } as never);
  await sequelize.query(`CREATE TABLE "SequelizeMeta" (name varchar(255) PRIMARY KEY)`);
  await sequelize.query(`INSERT INTO "SequelizeMeta" VALUES ('${firstTables.name}')`);
  const [club, ada, bo, start, plan] = Array.from({ length: 5 }, () => randomUUID());
  const [run, orphan, unknown, event] = Array.from({ length: 4 }, () => randomUUID());
  const about = `'Final', '', 'UTC', now()`;
  await sequelize.query(`
    INSERT INTO clubs (id, name) VALUES ('${club}', 'Our club');
    INSERT INTO athletes (id, club_id, name) VALUES ('${ada}', '${club}', 'Ada'), ('${bo}', '${club}', 'Bo');
    INSERT INTO starts (id, club_id, athlete_id, title, venue, zone, starts_at, ready_at)
      VALUES ('${start}', '${club}', '${ada}', ${about}, now());
    INSERT INTO plans (id, club_id, start_id, body) VALUES ('${plan}', '${club}', '${start}', '{"items":[]}');
    INSERT INTO plan_edits (club_id, plan_id, version, outcome, body)
      VALUES ('${club}', '${plan}', 2, 'saved', '{"items":[]}');
    INSERT INTO runs (id, club_id, start_id, athlete_name, title, venue, zone, starts_at, plan) VALUES
      ('${run}', '${club}', '${start}', 'Ada', ${about}, '{}'),
      ('${orphan}', '${club}', NULL, 'Bo', ${about}, '{}'),
      ('${unknown}', '${club}', NULL, 'Somebody gone', ${about}, '{}');
    INSERT INTO run_events (id, club_id, run_id, event) VALUES ('${event}', '${club}', '${run}', '{}')`);

  expect(await migrate(url)).toEqual([
    "0002-accounts",
    "0003-shelf",
    "0004-building",
    "0005-listed",
    "0006-trust",
    "0007-deleted-starts",
    "0008-figures",
    "0009-days",
    "0010-orders",
    "0011-calendars",
    "0012-press-order",
  ]);
  const runs = await models.Run.findAll();
  expect(Object.fromEntries(runs.map((r) => [r.id, r.athleteId]))).toEqual({
    [run as string]: ada,
    [orphan as string]: bo,
    [unknown as string]: null,
  });
  expect(await models.Plan.count()).toBe(1);
  expect(await models.PlanEdit.count()).toBe(1);
  expect(await models.RunEvent.count()).toBe(1);

  const [ownerless] = await ownerlessClubs(database);
  expect(ownerless).toEqual({ id: club, name: "Our club" });
  const link = await makeOwnerLink(database, club as string);
  const app = await buildApp(database, testOptions(url));
  const joined = await app.inject({
    method: "POST",
    url: `/api/invites/${link.split("/").at(-1)}/sign-up`,
    payload: { name: "Owner", email: "o@example.org", password: "a long enough password" },
  });
  expect(joined.json().clubs).toMatchObject([{ id: club, role: "owner" }]);
  expect(await ownerlessClubs(database)).toEqual([]);
  // References hold after the change of keys: what is deleted takes what hangs on it along.
  await models.Athlete.destroy({ where: { id: ada } });
  expect(
    await Promise.all(
      [models.Start, models.Plan, models.PlanEdit, models.RunEvent].map((m) =>
        (m as typeof models.Start).count(),
      ),
    ),
  ).toEqual([0, 0, 0, 0]);
  expect(await models.Run.count()).toBe(2);
  await app.close();
  await sequelize.close();
});
