import { randomUUID } from "node:crypto";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import { MOST } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { makeStart, planBody, runInput, startWrite } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const T0 = Date.parse("2026-06-01T12:00:00.000Z");
const press = (kind: string, second = 0, more: object = {}) => ({
  id: randomUUID(),
  at: new Date(T0 + second * 1000).toISOString(),
  kind,
  ...more,
});

async function makeRun() {
  const start = await makeStart(server);
  const plan = runPlanOf(fitPlan(planBody("Laps", "Swings"), 600), start.startsAt);
  const input = { id: randomUUID(), startId: start.id, plan };
  await server.ask("POST", "/api/:club/runs", input);
  const url = `/api/:club/runs/${input.id}`;
  return {
    id: input.id,
    start,
    plan,
    send: (...events: object[]) => server.ask("POST", `${url}/events`, { events }),
    read: async () => (await server.ask("GET", url)).body,
  };
}

it("records nothing from the future, and says which press it was; a phone a minute fast is no matter", async () => {
  const { send, read } = await makeRun();
  const ahead = (ms: number) => new Date(Date.now() + ms).toISOString();
  const good = press("begin");
  const answer = await send(good, press("done", 1, { at: ahead(180_000) }));
  expect(answer.body).toMatchObject({ code: "invalid_input", path: "events.1.at" });
  expect((await send(press("hold", 1, { at: "2099-01-01T00:00:00.000Z" }))).body.path).toBe("events.0.at");
  expect((await read()).events).toEqual([]);
  expect((await send(good, press("done", 1, { at: ahead(60_000) }))).status).toBe(200);
});

it.each([
  ["a start that moves", { kind: "start-moved", startsAt: "9999-01-01T00:00:00.000Z" }, "startsAt"],
  [
    "a wait that never ends",
    { kind: "refit", drills: [], waitSeconds: 1, line: "", until: "2150-01-01T00:00:00.000Z" },
    "until",
  ],
])("bounds every instant inside a press: %s", async (_, more, path) => {
  const { send } = await makeRun();
  expect((await send({ ...press("x"), ...more })).body.path).toBe(`events.0.${path}`);
});

it("refuses text that a database cannot hold wherever a press or a run has text", async () => {
  const { send, start, plan } = await makeRun();
  for (const bad of ["\u0000", "\ud800"]) {
    const [drill] = plan.drills;
    for (const event of [
      press("done", 1, { of: bad }),
      press("jump", 1, { to: bad }),
      press("insert", 1, { drill: { ...drill, words: bad } }),
      press("insert", 1, { drill: { ...drill, parts: [{ kind: "work", words: bad, seconds: 1 }] } }),
      press("refit", 1, { drills: [{ same: bad }], waitSeconds: 1, line: "" }),
      press("rating", 1, { ready: 1, first: bad, note: "" }),
    ]) {
      expect((await send(event)).status).toBe(400);
    }
    const parts = [{ kind: "work", words: bad, seconds: 1 }];
    const input = { id: randomUUID(), startId: start.id, plan: { ...plan, drills: [{ ...drill, parts }] } };
    expect((await server.ask("POST", "/api/:club/runs", input)).status).toBe(400);
  }
});

it("holds so many presses of one run and no more, counts each once, and goes on reading them", async () => {
  const { id, send, read } = await makeRun();
  const first = press("begin");
  await send(first);
  await server.sequelize.query("UPDATE runs SET presses = $2 WHERE id = $1", {
    bind: [id, MOST.presses - 1],
  });
  const [last, beyond] = [press("done", 1), press("done", 2)];
  expect((await send(last, beyond)).body).toMatchObject({ code: "full" });
  expect((await read()).events).toHaveLength(1);
  // What is there already takes no room, however often it is sent.
  expect((await send(first, last)).status).toBe(200);
  expect((await send(first, last)).status).toBe(200);
  expect((await send(beyond)).body.code).toBe("full");
  expect((await read()).events).toHaveLength(2);
});

it("holds so many bytes of one run and no more", async () => {
  const { id, send } = await makeRun();
  await server.sequelize.query("UPDATE runs SET press_bytes = $2 WHERE id = $1", {
    bind: [id, MOST.pressBytes - 10],
  });
  expect((await send(press("begin"))).body.code).toBe("full");
});

it("counts right though two phones press at the same moment", async () => {
  const { id, send } = await makeRun();
  const all = Array.from({ length: 40 }, (_, i) => press("hold", i));
  // Each phone sends what the other sends too.
  await Promise.all(all.flatMap((p, i) => [send(p), send(p, all[(i + 1) % 40] as object)]));
  const [row] = await server.sequelize.query<{ presses: number; bytes: number; real: string; size: string }>(
    `SELECT presses, press_bytes AS bytes, (SELECT count(*) FROM run_events WHERE run_id = $1) AS real,
      (SELECT sum(octet_length(event::text)) FROM run_events WHERE run_id = $1) AS size FROM runs WHERE id = $1`,
    { bind: [id], type: QueryTypes.SELECT },
  );
  expect([row?.presses, row?.bytes]).toEqual([40, Number(row?.size)]);
});

describe("the log", () => {
  const rowOf = async (id: string) =>
    (await server.ask("GET", "/api/:club/runs")).body.runs.find((r: { id: string }) => r.id === id);

  it("shows a run as it was last pressed, and reads no presses of one that was summed up since", async () => {
    const { id, send, plan } = await makeRun();
    await send(press("begin"), press("done", 100));
    expect(await rowOf(id)).toMatchObject({ done: 1, drills: 2, realSeconds: 100 });
    // What is stored is what is shown.
    await server.sequelize.query("DELETE FROM run_events WHERE run_id = $1", { bind: [id] });
    expect(await rowOf(id)).toMatchObject({ done: 1, realSeconds: 100 });
    await send(press("begin"), press("skip", 50));
    expect(await rowOf(id)).toMatchObject({ done: 0, skipped: 1, drills: plan.drills.length });
  });

  it("gives every run once though many were made at the same instant", async () => {
    const other = await server.signUp();
    const ask = other.person.ask;
    const start = await makeStart({ ask });
    for (let i = 0; i < 45; i++) await ask("POST", "/api/:club/runs", runInput(start.id));
    await server.sequelize.query(
      "UPDATE runs SET created_at = '2026-06-01T12:00:00.000Z' WHERE start_id = $1",
      {
        bind: [start.id],
      },
    );
    const seen: string[] = [];
    let next: string | null = null;
    do {
      const page: { runs: { id: string }[]; next: string | null } = (
        await ask("GET", `/api/:club/runs${next ? `?before=${encodeURIComponent(next)}` : ""}`)
      ).body;
      seen.push(...page.runs.map((r) => r.id));
      next = page.next;
    } while (next);
    expect(new Set(seen).size).toBe(45);
    expect(seen).toHaveLength(45);
    expect((await ask("GET", "/api/:club/runs?before=yesterday")).status).toBe(400);
  });
});

it("refused edits stay within reach, however many were saved after them", async () => {
  const { plan } = await makeStart(server);
  const url = `/api/:club/plans/${plan.id}`;
  const save = (version: number, name: string) => server.ask("PUT", url, { version, body: planBody(name) });
  await save(1, "First");
  expect((await save(1, "Refused")).status).toBe(409);
  for (let version = 2; version < 62; version++) await save(version, `Edit ${version}`);
  const refused = (await server.ask("GET", `${url}/edits?outcome=refused`)).body;
  expect(refused.edits.map((e: { body: { items: { name: string }[] } }) => e.body.items[0]?.name)).toEqual([
    "Refused",
  ]);
  const first = (await server.ask("GET", `${url}/edits`)).body;
  expect(first.edits).toHaveLength(MOST.page);
  const second = (await server.ask("GET", `${url}/edits?before=${first.next}`)).body;
  expect(second.next).toBeNull();
  expect(first.edits.length + second.edits.length).toBe(62);
});

it("shows whoever holds a link the run of the athlete it shows, not of the one the start was given to before", async () => {
  const start = await makeStart(server);
  const share = (await server.ask("POST", `/api/:club/starts/${start.id}/shares`, { until: "day" })).body;
  await server.ask("POST", "/api/:club/runs", runInput(start.id));
  const open = async () => (await server.send({ url: `/api/shared/${share.token}` })).json();
  expect((await open()).run).not.toBeNull();
  const other = (await server.ask("POST", "/api/:club/athletes", { name: "Bo Marsh" })).body;
  await server.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, { athleteId: other.id }));
  expect(await open()).toMatchObject({ athleteName: "Bo Marsh", run: null });
});

describe("Today", () => {
  it("is a list without bodies, whose stamps say what to read, several at once", async () => {
    const { person } = await server.signUp();
    const { ask } = person;
    const starts = [await makeStart({ ask }), await makeStart({ ask })];
    const list = async () => (await ask("GET", "/api/:club/starts")).body.starts;
    const [before] = [await list()];
    expect(JSON.stringify(before)).not.toMatch(/"plan"|"setting"|"items"/);
    const stampOf = (rows: { id: string; stamp: string }[], i: number) =>
      rows.find((r) => r.id === starts[i]?.id)?.stamp;
    await ask("PUT", `/api/:club/plans/${starts[0]?.plan.id}`, { version: 1, body: planBody("Laps") });
    const after = await list();
    expect(stampOf(after, 0)).not.toBe(stampOf(before, 0));
    expect(stampOf(after, 1)).toBe(stampOf(before, 1));
    const ids = starts.map((s) => s.id).join(",");
    const { starts: whole, glances } = (await ask("GET", `/api/:club/starts/whole?ids=${ids}`)).body;
    // How the next of them stand is told with them: when to begin, of those that have a warm-up.
    expect(glances).toEqual([
      expect.objectContaining({ id: starts[0]?.id, stamp: stampOf(after, 0), glance: expect.any(Object) }),
    ]);
    expect(glances[0].glance).toMatchObject({ fits: true, state: null });
    expect(glances[0].glance.beginSeconds).toBeLessThan(0);
    expect(whole.map((s: { stamp: string }) => s.stamp).sort()).toEqual(
      after.map((s: { stamp: string }) => s.stamp).sort(),
    );
    expect(whole.every((s: { plan: { body: object } }) => s.plan.body)).toBe(true);
    // Another club's are not among them.
    const others = (await server.ask("GET", `/api/:club/starts/whole?ids=${ids}`)).body;
    expect(others).toEqual({ starts: [], glances: [] });
    const many = Array.from({ length: 21 }, () => randomUUID()).join(",");
    expect((await ask("GET", `/api/:club/starts/whole?ids=${many}`)).status).toBe(400);
  });

  it.each(["athlete", "event", "start"])("has another stamp when its %s changes", async (what) => {
    const { person } = await server.signUp();
    const { ask } = person;
    const event = (
      await ask("POST", "/api/:club/events", { ...(await import("./make")).eventInput("Final") })
    ).body;
    const start = await makeStart({ ask }, { eventId: event.id });
    const stamp = async () => (await ask("GET", "/api/:club/starts")).body.starts[0].stamp;
    const before = await stamp();
    const { profile, eventInput } = await import("./make");
    if (what === "athlete")
      await ask("PUT", `/api/:club/athletes/${start.athlete.id}`, { version: 1, name: "New", profile });
    if (what === "event")
      await ask("PUT", `/api/:club/events/${event.id}`, {
        version: 1,
        archived: false,
        ...eventInput("Other"),
      });
    if (what === "start")
      await ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, { title: "New" }));
    expect(await stamp()).not.toBe(before);
  });
});
