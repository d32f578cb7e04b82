import { randomUUID } from "node:crypto";
import { fitPlan, type RunEvent, runPlanOf } from "@tonodrome/core";
import { makeStart, planBody } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const T0 = Date.parse("2026-06-01T12:00:00.000Z");
const press = (kind: RunEvent["kind"], second: number) => ({
  id: randomUUID(),
  at: new Date(T0 + second * 1000).toISOString(),
  kind,
});

async function makeRun() {
  const start = await makeStart(server);
  const plan = runPlanOf(fitPlan(planBody("Laps", "Swings"), 600), start.startsAt);
  const input = { id: randomUUID(), startId: start.id, plan };
  return { start, input, answer: await server.ask("POST", "/api/:club/runs", input) };
}

it("records a run and its presses once, however often they are sent", async () => {
  const { input, answer } = await makeRun();
  expect(answer.status).toBe(201);
  expect((await server.ask("POST", "/api/:club/runs", input)).body).toEqual(answer.body);

  const pulse = { ...press("pulse", 100), everySeconds: 5, rates: [110, null, 124] };
  const events = [press("begin", 0), pulse, press("done", 130), press("skip", 140), press("end", 300)];
  const url = `/api/:club/runs/${input.id}/events`;
  const first = await server.ask("POST", url, { events: events.slice(0, 2) });
  expect(first.body.recorded).toEqual(events.slice(0, 2).map((e) => e.id));
  await Promise.all([1, 2, 3].map(() => server.ask("POST", url, { events })));

  const run = await server.ask("GET", `/api/:club/runs/${input.id}`);
  expect(run.body.events).toEqual(events);
  const row = (await server.ask("GET", "/api/:club/runs")).body.runs.find(
    (r: { id: string }) => r.id === input.id,
  );
  expect(row).toMatchObject({
    athleteName: "Ada Finch",
    done: 1,
    skipped: 1,
    plannedSeconds: 360,
    realSeconds: 140,
  });
});

it("keeps the log when the start is deleted", async () => {
  const { start, input } = await makeRun();
  await server.ask("DELETE", `/api/:club/starts/${start.id}`);
  const read = async () => (await server.ask("GET", `/api/:club/runs/${input.id}`)).body;
  expect(await read()).toMatchObject({ athleteName: "Ada Finch", title: "Free skate" });
  // For good, too.
  await server.models.Start.destroy({ where: { id: start.id }, force: true });
  expect(await read()).toMatchObject({ startId: null, athleteName: "Ada Finch", title: "Free skate" });
});

it("gives the log in pages, newest first, each run once", async () => {
  for (let i = 0; i < 31; i++) await makeRun();
  const first = (await server.ask("GET", "/api/:club/runs")).body;
  const second = (await server.ask("GET", `/api/:club/runs?before=${first.next}`)).body;
  const ids = [...first.runs, ...second.runs].map((r: { id: string }) => r.id);
  expect(first.runs).toHaveLength(30);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids.length).toBe(await server.models.Run.count());
  expect(second.next).toBeNull();
});

it("refuses presses that are none, and takes none of a batch with one bad", async () => {
  const { input } = await makeRun();
  const url = `/api/:club/runs/${input.id}/events`;
  const good = press("begin", 0);
  for (const [bad, path] of [
    [{ ...press("done", 1), kind: "cheer" }, "events.1.kind"],
    [{ ...press("extend", 1), seconds: -3 }, "events.1.seconds"],
    [{ ...press("done", 1), at: "yesterday" }, "events.1.at"],
    [{ ...press("done", 1), at: "9999-01-01T00:00:00.000Z" }, "events.1.at"],
    [{ ...press("done", 1), mood: "great" }, "events.1"],
  ] as const) {
    const answer = await server.ask("POST", url, { events: [good, bad] });
    expect([answer.status, answer.body.path]).toEqual([400, path]);
  }
  expect((await server.ask("GET", `/api/:club/runs/${input.id}`)).body.events).toEqual([]);
  expect((await server.ask("POST", url, { events: [] })).status).toBe(400);
  expect(
    (await server.ask("POST", `/api/:club/runs/${randomUUID()}/events`, { events: [good] })).status,
  ).toBe(404);
});

it("refuses a run with nothing in it or for a start that is not there", async () => {
  const { input } = await makeRun();
  const empty = await server.ask("POST", "/api/:club/runs", {
    ...input,
    id: randomUUID(),
    plan: { ...input.plan, drills: [] },
  });
  expect(empty.body).toMatchObject({ code: "invalid_input", path: "plan.drills" });
  const orphan = await server.ask("POST", "/api/:club/runs", {
    ...input,
    id: randomUUID(),
    startId: randomUUID(),
  });
  expect(orphan.status).toBe(404);
});
