import { randomUUID } from "node:crypto";
import type { Start, StartInput } from "@tonodrome/core/api";
import { makeStart, planBody, startInput, startWrite } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

describe("starts", () => {
  it("comes with an empty plan and is there afterwards", async () => {
    const start = await makeStart(server);
    expect(start).toMatchObject({
      version: 1,
      title: "Free skate",
      plan: { version: 1, body: { items: [] } },
    });
    expect((await server.ask("GET", `/api/:club/starts/${start.id}`)).body).toEqual(start);
    const list = await server.ask("GET", "/api/:club/starts?from=2098-06-01T12:00:00.000Z");
    // The list is light: what it takes to fit a start is read apart.
    const { plan: _, setting: __, facts: ___, ...row } = start;
    expect(list.body.starts).toContainEqual(row);
    expect((await server.ask("GET", "/api/:club/starts?from=2098-06-01T13:00:00.000Z")).body.starts).toEqual(
      [],
    );
  });

  it("moves, refuses an older version with the newer one in hand, and takes a repeated move once", async () => {
    const start = await makeStart(server);
    const move = startWrite(start, { startsAt: "2098-06-01T12:35:00.000Z" });
    const moved = await server.ask("PUT", `/api/:club/starts/${start.id}`, move);
    expect(moved.body).toMatchObject({ version: 2, startsAt: "2098-06-01T12:35:00.000Z" });
    expect(await server.ask("PUT", `/api/:club/starts/${start.id}`, move)).toEqual(moved);

    const stale = await server.ask(
      "PUT",
      `/api/:club/starts/${start.id}`,
      startWrite(start, { title: "Other" }),
    );
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ code: "version_conflict", path: "version", current: moved.body });
    expect((await server.ask("GET", `/api/:club/starts/${start.id}`)).body).toEqual(moved.body);
  });

  it("keeps the time on the start list when it moves, until the list itself is said to be another", async () => {
    const start = await makeStart(server);
    expect(start.listedAt).toBe(start.startsAt);
    const put = async (from: Start, more: Partial<StartInput>) =>
      (await server.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(from, more))).body as Start;
    const moved = await put(start, { startsAt: "2098-06-01T12:35:00.000Z" });
    expect(moved.listedAt).toBe(start.startsAt);
    // Somebody who knows nothing of the list moves it on.
    const { listedAt: _, ...unaware } = startWrite(moved, { startsAt: "2098-06-01T12:40:00.000Z" });
    const again = (await server.ask("PUT", `/api/:club/starts/${start.id}`, unaware)).body;
    expect(again).toMatchObject({ startsAt: "2098-06-01T12:40:00.000Z", listedAt: start.startsAt });
    const listed = await put(again, { listedAt: again.startsAt });
    expect(listed.listedAt).toBe(again.startsAt);
    expect((await put(listed, { startsAt: start.startsAt })).listedAt).toBe(again.startsAt);
  });

  it("is deleted with its plan", async () => {
    const start = await makeStart(server);
    expect((await server.ask("DELETE", `/api/:club/starts/${start.id}`)).status).toBe(200);
    expect((await server.ask("GET", `/api/:club/starts/${start.id}`)).status).toBe(404);
    expect((await server.ask("GET", `/api/:club/plans/${start.plan.id}`)).status).toBe(404);
    expect((await server.ask("DELETE", `/api/:club/starts/${start.id}`)).status).toBe(404);
  });
});

describe("plans", () => {
  it("saves the whole plan and counts the version up", async () => {
    const { plan } = await makeStart(server);
    const body = planBody("Laps", "Swings");
    const saved = await server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body });
    expect(saved).toEqual({ status: 200, body: { id: plan.id, version: 2, body } });
    expect((await server.ask("GET", `/api/:club/plans/${plan.id}`)).body).toEqual(saved.body);
  });

  it("refuses a save over a newer version and keeps both", async () => {
    const { plan } = await makeStart(server);
    const [mine, theirs] = [planBody("Mine"), planBody("Theirs")];
    await server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body: theirs });
    const refused = await server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body: mine });
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({ code: "version_conflict", current: { version: 2, body: theirs } });
    expect(refused.body.message).toContain("Nothing was overwritten");
    const { name } = (await server.ask("GET", "/api/me")).body;
    expect(refused.body.by).toBe(name);
    expect(refused.body.message).toContain(`${name} saved this warm-up`);

    await server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body: mine });
    const { edits } = (await server.ask("GET", `/api/:club/plans/${plan.id}/edits`)).body;
    expect(edits).toEqual([
      { id: expect.any(String), version: 1, outcome: "refused", at: expect.any(String), body: mine },
      { id: expect.any(String), version: 2, outcome: "saved", at: expect.any(String), body: theirs },
    ]);
  });

  it("counts a save whose answer was lost as saved", async () => {
    const { plan } = await makeStart(server);
    const write = { version: 1, body: planBody("Laps") };
    const first = await server.ask("PUT", `/api/:club/plans/${plan.id}`, write);
    expect(await server.ask("PUT", `/api/:club/plans/${plan.id}`, write)).toEqual(first);
  });

  it("lets exactly one of many savers at once through", async () => {
    const { plan } = await makeStart(server);
    const writes = Array.from({ length: 8 }, (_, i) => planBody(`Saver ${i}`));
    const answers = await Promise.all(
      writes.map((body) => server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body })),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([200, ...Array(7).fill(409)]);
    const { edits } = (await server.ask("GET", `/api/:club/plans/${plan.id}/edits`)).body;
    expect(edits).toHaveLength(8);
  });
});

describe("what is refused, and where it says the fault is", () => {
  const item = planBody("Laps").items[0] as object;
  const planWith = (changes: object) => ({ version: 1, body: { ...planBody(), ...changes } });
  const dose = (seconds: object) =>
    planWith({ items: [{ ...item, dose: { ...planBody("x").items[0]?.dose, seconds } }] });
  const bad: [string, unknown, string][] = [
    ["an empty name", planWith({ items: [{ ...item, name: "  " }] }), "body.items.0.name"],
    ["a 400-character name", planWith({ items: [{ ...item, name: "x".repeat(400) }] }), "body.items.0.name"],
    ["a null character", planWith({ items: [{ ...item, name: "a\u0000b" }] }), "body.items.0.name"],
    ["half a surrogate pair", planWith({ items: [{ ...item, focus: "a\ud800b" }] }), "body.items.0.focus"],
    ["a dose of nothing", dose({ floor: 0, ideal: 60, ceiling: 60 }), "body.items.0.dose.seconds.floor"],
    ["a negative dose", dose({ floor: -5, ideal: 60, ceiling: 60 }), "body.items.0.dose.seconds.floor"],
    ["an enormous dose", dose({ floor: 60, ideal: 60, ceiling: 9e9 }), "body.items.0.dose.seconds.ceiling"],
    [
      "too many drills",
      planWith({ items: Array.from({ length: 91 }, () => planBody("x").items[0]) }),
      "body.items",
    ],
    ["two drills with one id", planWith({ items: [item, item] }), "body.items"],
    ["an unknown field", planWith({ surprise: true }), "body"],
    [
      "a longest wait below the least",
      planWith({ wait: { leastSeconds: 9, longestSeconds: 1 } }),
      "body.wait.longestSeconds",
    ],
    ["no version", { body: planBody() }, "version"],
    ["a version of 2^53", { version: 2 ** 53, body: planBody() }, "version"],
    ["no object at all", [], ""],
  ];
  it.each(bad)("a plan with %s", async (_, payload, path) => {
    const { plan } = await makeStart(server);
    const answer = await server.ask("PUT", `/api/:club/plans/${plan.id}`, payload);
    expect([answer.status, answer.body.code, answer.body.path]).toEqual([400, "invalid_input", path]);
    expect(answer.body.message.length).toBeGreaterThan(5);
    expect((await server.ask("GET", `/api/:club/plans/${plan.id}`)).body.version).toBe(1);
  });

  const badStarts: [string, object, string][] = [
    ["an empty title", { title: "" }, "title"],
    ["an unknown zone", { zone: "Mars/Olympus" }, "zone"],
    ["a time that is none", { startsAt: "soon" }, "startsAt"],
    ["the year 1899", { startsAt: "1899-06-01T12:30:00.000Z" }, "startsAt"],
    ["being ready after the start", { readyAt: "2098-06-01T13:00:00.000Z" }, "readyAt"],
    ["two days of time available", { readyAt: "2026-05-30T13:00:00.000Z" }, "readyAt"],
    ["an athlete who is not in the club", { athleteId: randomUUID() }, "athleteId"],
  ];
  it.each(badStarts)("a start with %s", async (_, changes, path) => {
    const athlete = await server.ask("POST", "/api/:club/athletes", { name: "Bo" });
    const answer = await server.ask("POST", "/api/:club/starts", {
      ...startInput(athlete.body.id),
      ...changes,
    });
    expect([answer.status, answer.body.code, answer.body.path]).toEqual([400, "invalid_input", path]);
  });

  it("bodies and addresses that cannot be read", async () => {
    const url = `/api/clubs/${server.clubId}/athletes`;
    const raw = (payload: string, type = "application/json") =>
      server.send({ method: "POST", url, payload, headers: { "content-type": type } }, server.owner.cookie);
    expect((await raw("{")).statusCode).toBe(400);
    expect((await raw("<a/>", "text/xml")).json()).toMatchObject({ code: "unsupported_media_type" });
    expect((await raw(JSON.stringify({ name: "x".repeat(2e6) }))).json()).toMatchObject({
      code: "too_large",
    });
    expect((await server.ask("GET", "/api/:club/starts/not-an-id")).body).toMatchObject({
      code: "invalid_input",
      path: "id",
    });
    expect((await server.ask("GET", `/api/:club/starts/${randomUUID()}`)).body).toMatchObject({
      code: "not_found",
    });
    expect((await server.ask("GET", "/api/nothing")).status).toBe(404);
  });
});

describe("the time on the list", () => {
  it("is kept only where it is another than the start's own", async () => {
    const athlete = (await server.ask("POST", "/api/:club/athletes", { name: "Bo" })).body.id;
    const input = startInput(athlete);
    const kept = async (listedAt: string) => {
      const made = await server.ask("POST", "/api/:club/starts", { ...input, listedAt });
      expect([made.status, made.body.listedAt]).toEqual([201, listedAt]);
      return (await server.models.Start.findByPk(made.body.id))?.listedAt?.toISOString() ?? null;
    };
    const earlier = new Date(Date.parse(input.startsAt) - 60_000).toISOString();
    expect(await kept(input.startsAt)).toBeNull();
    expect(await kept(earlier)).toBe(earlier);
  });
});
