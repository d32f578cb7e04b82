import { randomUUID } from "node:crypto";
import { fitPlan } from "@tonodrome/core";
import { QueryTypes } from "sequelize";
import { buildApp } from "../src/app";
import { readConfig } from "../src/config";
import { connect } from "../src/db/connect";
import { ensureLocalClub } from "../src/db/localClub";
import { migrate } from "../src/db/migrate";
import { seedDemo } from "../src/demo/seedDemo";
import { makeStart, planItem } from "./make";
import { freshDatabase, type TestServer, testServer } from "./testServer";

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

  it("publishes an OpenAPI description of every route", async () => {
    const { body } = await server.ask("GET", "/api/openapi.json");
    expect(body.openapi).toMatch(/^3\./);
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(["/api/starts", "/api/starts/{id}", "/api/plans/{id}", "/api/runs/{id}/events"]),
    );
    expect(body.paths["/api/plans/{id}"].put.requestBody).toBeDefined();
  });

  it("keeps drills on the shelf", async () => {
    const { id: _, drillId: __, ...drill } = planItem("Hops");
    const made = await server.ask("POST", "/api/drills", drill);
    expect(made.body).toMatchObject({ name: "Hops", dose: drill.dose });
    expect((await server.ask("GET", "/api/drills")).body.drills).toEqual([made.body]);
    expect((await server.ask("POST", "/api/drills", { ...drill, name: "" })).body.path).toBe("name");
  });

  it("shows nothing of another club", async () => {
    const other = randomUUID();
    await server.models.Club.create({ id: other, name: "Zeta", demo: false });
    const start = await makeStart(server);
    const foreign = await buildApp({
      ...server,
      models: { ...server.models, Club: { findOne: async () => ({ id: other }) } as never },
    });
    const urls = [
      `/api/starts/${start.id}`,
      `/api/plans/${start.plan.id}`,
      `/api/plans/${start.plan.id}/edits`,
    ];
    for (const url of urls) expect((await foreign.inject(url)).statusCode).toBe(404);
    for (const [url, key] of [
      ["/api/starts", "starts"],
      ["/api/athletes", "athletes"],
      ["/api/drills", "drills"],
    ] as const) {
      expect((await foreign.inject(url)).json()).toEqual({ [key]: [] });
    }
    const write = await foreign.inject({
      method: "PUT",
      url: `/api/plans/${start.plan.id}`,
      payload: { version: 1, body: start.plan.body },
    });
    expect(write.statusCode).toBe(404);
    await foreign.close();
  });
});

it("answers 503, not 500, while the database is away", async () => {
  const database = connect("postgresql://nobody@127.0.0.1:1/none");
  const app = await buildApp(database);
  const answer = await app.inject("/api/starts");
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
  const applied = await Promise.all(databases.map((d) => migrate(d.sequelize)));
  expect(applied.flat()).toEqual(["0001-first-tables"]);
  expect(await migrate((databases[0] as (typeof databases)[0]).sequelize)).toEqual([]);
  const withoutClub = await databases[0]?.sequelize.query(
    `SELECT table_name FROM information_schema.tables t WHERE table_schema = 'public'
      AND table_name NOT IN ('clubs', 'SequelizeMeta') AND NOT EXISTS (
        SELECT 1 FROM information_schema.columns c WHERE c.table_name = t.table_name AND c.column_name = 'club_id')`,
    { type: QueryTypes.SELECT },
  );
  expect(withoutClub).toEqual([]);
  await Promise.all(databases.map((d) => d.sequelize.close()));
});

describe("the demo", () => {
  it("is laid once, fits, and gets a new day when its starts are over", async () => {
    const database = connect(await freshDatabase());
    await migrate(database.sequelize);
    const now = new Date("2026-06-01T22:40:30.000Z");
    expect(await seedDemo(database, now)).toBe(true);
    expect(await seedDemo(database, now)).toBe(false);
    const { Athlete, Run, Start, Plan, Drill } = database.models;
    expect(await Athlete.count()).toBeGreaterThanOrEqual(4);
    expect(await Run.count()).toBe(7);
    expect(await Drill.count()).toBeGreaterThan(20);

    const starts = await Start.findAll({ order: [["startsAt", "ASC"]] });
    const next = starts.filter((s) => s.startsAt > now);
    expect(next).toHaveLength(5);
    expect((next[0]?.startsAt.getTime() ?? 0) - now.getTime()).toBeLessThan(3_600_000);
    const states = await Promise.all(
      next.map(async (start) => {
        const plan = await Plan.findOne({ where: { startId: start.id } });
        const available = (start.startsAt.getTime() - start.readyAt.getTime()) / 1000;
        return plan && fitPlan(plan.body, available).state;
      }),
    );
    // The demo shows all three words, and no warm-up that only a mended ladder could save.
    expect(new Set(states)).toEqual(new Set(["fits", "tight", "short"]));

    const later = new Date(now.getTime() + 86_400_000);
    expect(await seedDemo(database, later)).toBe(true);
    expect(await Start.count()).toBe(starts.length + 5);
    expect(await Run.count()).toBe(7);
    await database.sequelize.close();
  });

  it("is not needed: an empty database can have one empty club instead, made once", async () => {
    const database = connect(await freshDatabase());
    await migrate(database.sequelize);
    await ensureLocalClub(database);
    await ensureLocalClub(database);
    expect(await database.models.Club.findAll({ raw: true })).toMatchObject([
      { name: "Our club", demo: false },
    ]);
    await database.sequelize.close();
  });

  it("is not laid over a club of one's own", async () => {
    const server = await testServer();
    expect(await seedDemo(server, new Date())).toBe(false);
    expect(await server.models.Start.count()).toBe(0);
    await server.close();
  });
});

it("names the setting that is wrong", () => {
  expect(() => readConfig({})).toThrow(/DATABASE_URL/);
  expect(() => readConfig({ DATABASE_URL: "postgresql://x", PORT: "http" })).toThrow(/PORT is "http"/);
});
