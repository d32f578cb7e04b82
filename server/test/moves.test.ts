import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import type { RunEvent } from "@tonodrome/core";
import { Client } from "pg";
import { QueryTypes, type Sequelize } from "sequelize";
import { makeStart, orderInput, runInput, startWrite } from "./make";
import { type TestServer, testServer } from "./testServer";

/** The start's own row is the truth of when it is; a move stands in the log of a run under way once, whoever made it. */

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const later = (minutes: number) =>
  new Date(Date.parse("2098-06-01T12:30:00.000Z") + minutes * 60_000).toISOString();
const press = (run: string, ...events: object[]) =>
  server.ask("POST", `/api/:club/runs/${run}/events`, { events });
const logOf = async (run: string): Promise<RunEvent[]> =>
  (await server.ask("GET", `/api/:club/runs/${run}`)).body.events;
const movesIn = async (run: string) =>
  (await logOf(run)).flatMap((e) => (e.kind === "start-moved" ? [e.startsAt] : []));

async function running() {
  const start = await makeStart(server);
  const { id } = (await server.ask("POST", "/api/:club/runs", runInput(start.id))).body;
  await press(id, { id: randomUUID(), at: new Date().toISOString(), kind: "begin" });
  return { start, run: id as string };
}

it("is noted in every run under way, and in none that is over or is a cool-down", async () => {
  const { start, run } = await running();
  const other = (await server.ask("POST", "/api/:club/runs", runInput(start.id))).body.id;
  const { plan, ...input } = runInput(start.id);
  const coolDown = { ...input, plan: { ...plan, kind: "cool-down" } };
  await server.ask("POST", "/api/:club/runs", coolDown);
  const over = (await server.ask("POST", "/api/:club/runs", runInput(start.id))).body.id;
  await press(over, { id: randomUUID(), at: new Date().toISOString(), kind: "end" });
  // It is summed up, by which it is known to be over, in the same moment.
  for (let i = 0; i < 50 && (await server.models.Run.findByPk(over).then((r) => !r?.summary?.endedAt)); i++)
    await server.ask("GET", "/api/:club/runs");
  const id = randomUUID();
  const move = () =>
    server.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt: later(5), id });
  expect((await move()).body).toMatchObject({ startsAt: later(5), version: 2 });
  // Sent again because the answer was lost, it is one move.
  expect((await move()).body).toMatchObject({ startsAt: later(5), version: 2 });
  for (const one of [run, other]) expect(await movesIn(one)).toEqual([later(5)]);
  for (const one of [input.id, over]) expect(await movesIn(one)).toEqual([]);
  expect((await logOf(run)).find((e) => e.kind === "start-moved")?.id).toBe(id);
});

it("is noted whatever moved it: the start's own sheet, a running order, a list; and not by what leaves it", async () => {
  const { start, run } = await running();
  const put = (version: number, changes: object) =>
    server.ask("PUT", `/api/:club/starts/${start.id}`, startWrite({ ...start, version }, changes));
  await put(1, { title: "Short" });
  expect(await movesIn(run)).toEqual([]);
  await put(2, { title: "Short", startsAt: later(10), readyAt: later(-30) });
  expect(await movesIn(run)).toEqual([later(10)]);
  const order = (await server.ask("POST", "/api/:club/orders", orderInput(start.id))).body;
  // Number 1 goes on now, which is long before: nobody goes before their time on the list.
  await server.ask("POST", `/api/:club/orders/${order.id}/now`, { number: 1, at: new Date().toISOString() });
  const { body } = await server.ask("GET", `/api/:club/starts/${start.id}`);
  expect(await movesIn(run)).toEqual([later(10), body.startsAt]);
  const rows = [
    {
      ...{ line: 2, athlete: "Ada Finch", title: "Short", venue: "Hall", zone: "Europe/Vienna" },
      ...{ startsAt: later(20), number: null },
    },
  ];
  const list = { rows, addAthletes: false, agreed: null };
  const named = await server.ask("PUT", `/api/:club/athletes/${start.athlete.id}`, {
    ...{ version: 1, name: "Ada Solo" },
    profile: (await server.models.Athlete.findByPk(start.athlete.id))?.profile,
  });
  expect(named.status).toBe(200);
  const told = { ...list, rows: rows.map((row) => ({ ...row, athlete: "Ada Solo" })) };
  const { mark } = (await server.ask("POST", "/api/:club/start-list", told)).body;
  expect((await server.ask("POST", "/api/:club/start-list", { ...told, agreed: mark })).body.taken).toBe(
    true,
  );
  expect((await movesIn(run)).at(-1)).toBe(later(20));
  expect(await movesIn(run)).toHaveLength(3);
});

it("that a phone did not know of when it began its run is noted with the run", async () => {
  const start = await makeStart(server);
  await server.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt: later(7) });
  const run = (await server.ask("POST", "/api/:club/runs", runInput(start.id))).body;
  expect(await movesIn(run.id)).toEqual([later(7)]);
});

it("made in the very moment in which the run is begun is in its log: one waits for the other", async () => {
  const start = await makeStart(server);
  const { sequelize } = server.models.Start as unknown as { sequelize: Sequelize };
  const made = await sequelize.transaction(async (transaction) => {
    const row = await server.models.Start.findByPk(start.id, { transaction, lock: true });
    await row?.update({ startsAt: new Date(later(9)), version: 2 }, { transaction });
    const begun = server.ask("POST", "/api/:club/runs", runInput(start.id));
    let isThere = false;
    void begun.then(() => {
      isThere = true;
    });
    const waits = async () =>
      (await sequelize.query("SELECT 1 FROM pg_locks WHERE NOT granted", { type: QueryTypes.SELECT }))
        .length > 0;
    while (!isThere && !(await waits()));
    return { begun };
  });
  const run = (await made.begun).body;
  expect(await movesIn(run.id)).toEqual([later(9)]);
});

it("tells those who follow what came since, and nothing twice", async () => {
  const { start, run } = await running();
  const since = async (after: number) =>
    (await server.ask("GET", `/api/:club/runs/${run}/events?after=${after}`)).body;
  const first = await since(0);
  expect(first.events.map((e: RunEvent) => e.kind)).toEqual(["begin"]);
  expect((await since(first.last)).events).toEqual([]);
  // What was pressed before, on a phone without a network, comes after what has come.
  const early = new Date(Date.now() - 600_000).toISOString();
  await press(run, { id: randomUUID(), at: early, kind: "hold" });
  await server.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt: later(1) });
  const second = await since(first.last);
  expect(second.events.map((e: RunEvent) => e.kind)).toEqual(["hold", "start-moved"]);
  expect(await since(second.last)).toEqual({ events: [], last: second.last, more: false });
  const many = Array.from({ length: 500 }, () => ({ id: randomUUID(), at: early, kind: "hold" }));
  await press(run, ...many);
  const third = await since(second.last);
  expect([third.events.length, third.more]).toEqual([500, true]);
  const stranger = (await server.signUp()).person;
  expect((await stranger.ask("GET", `/api/:club/runs/${run}/events`)).status).toBe(404);
});

it("is deleted as the version that was read, or not at all", async () => {
  const start = await makeStart(server);
  await server.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt: later(3) });
  const stale = await server.ask("DELETE", `/api/:club/starts/${start.id}?version=1`);
  expect(stale).toMatchObject({ status: 409, body: { code: "version_conflict", current: { version: 2 } } });
  expect((await server.ask("DELETE", `/api/:club/starts/${start.id}?version=2`)).status).toBe(200);
});

it("ends the streams of a server that heard nothing for a while: whoever listens comes again, and reads anew", async () => {
  const app = await server.another();
  await app.listen({ port: 0, host: "127.0.0.1" });
  const { port } = app.server.address() as AddressInfo;
  const answer = await fetch(`http://127.0.0.1:${port}/api/clubs/${server.clubId}/changes`, {
    headers: { cookie: server.owner.cookie },
  });
  const reader = answer.body?.getReader();
  await reader?.read();
  const admin = new Client({ connectionString: process.env.TEST_ADMIN_URL as string });
  await admin.connect();
  const { pathname } = new URL(server.url);
  await admin.query(
    "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query LIKE 'LISTEN %' AND datname = $1",
    [pathname.slice(1)],
  );
  await admin.end();
  // The stream ends by itself.
  for (let isDone = false; !isDone; ) isDone = (await reader?.read())?.done ?? true;
  expect(answer.headers.get("tonodrome-time")).toMatch(/^\d{13}$/);
  await app.close();
}, 20_000);
