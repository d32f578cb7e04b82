import { randomUUID } from "node:crypto";
import { LONGEST_AVAILABLE_SECONDS, MOST, type Start } from "@tonodrome/core/api";
import { purge } from "../src/upkeep/purge";
import { makeStart, planBody, type planItem, runInput, startInput } from "./make";
import { type FullClub, fullClub } from "./people";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
let club: FullClub;
beforeAll(async () => {
  server = await testServer();
});
beforeEach(async () => {
  club = await fullClub(server);
});
afterAll(() => server.close());

const as = (role: keyof FullClub["people"]) => club.people[role].ask;
const at = (start: Pick<Start, "startsAt">, minutes: number) =>
  new Date(Date.parse(start.startsAt) + minutes * 60_000).toISOString();

describe("a start that was deleted", () => {
  const remove = () => as("coach")("DELETE", `/api/:club/starts/${club.ids.start}`);
  const restore = (role: keyof FullClub["people"] = "coach") =>
    as(role)("POST", `/api/:club/starts/${club.ids.start}/restore`);
  const exported = async () => {
    const { cookie } = club.people.owner;
    return (await server.send({ url: `/api/clubs/${club.clubId}/export` }, cookie)).body;
  };

  it("is nowhere any more, with its warm-up and its links, and what was run of it stays", async () => {
    const { start, plan, run } = club.ids;
    const link = (await as("owner")("POST", `/api/:club/starts/${start}/shares`, { until: "day" })).body;
    expect((await remove()).body).toEqual({ done: true });
    const gone: [string, string, unknown?][] = [
      ["GET", `/api/:club/starts/${start}`],
      ["GET", `/api/:club/plans/${plan}`],
      ["GET", `/api/:club/plans/${plan}/edits`],
      ["PUT", `/api/:club/plans/${plan}`, { version: 1, body: planBody("Laps") }],
      ["POST", `/api/:club/starts/${start}/move`, { version: 1, startsAt: startInput("").startsAt }],
      ["POST", `/api/:club/starts/${start}/shares`, { until: "day" }],
      ["GET", `/api/:club/starts/${start}/shares`],
      ["POST", "/api/:club/runs", runInput(start)],
      ["DELETE", `/api/:club/starts/${start}`],
    ];
    for (const [method, path, body] of gone)
      expect([path, (await as("coach")(method as "GET", path, body)).status]).toEqual([path, 404]);
    expect((await as("coach")("GET", "/api/:club/starts")).body.starts).toEqual([]);
    expect((await as("coach")("GET", `/api/:club/starts/whole?ids=${start}`)).body.starts).toEqual([]);
    expect((await as("athlete")("GET", `/api/:club/plans/${plan}`)).status).toBe(404);
    expect((await as("owner")("GET", "/api/:club/shares")).body.shares).toEqual([]);
    expect((await server.send({ url: `/api/shared/${link.token}` })).json().code).toBe("not_found");
    const logged = (await as("coach")("GET", `/api/:club/runs/${run}`)).body;
    expect([logged.id, logged.title]).toEqual([run, "Free skate"]);
  });

  it("is in no export, and one that is read again holds together", async () => {
    await remove();
    const text = await exported();
    expect(text).not.toContain(club.ids.start);
    expect(text).toContain(club.ids.run);
    const { person, me } = await server.signUp("Empty");
    const answer = await server.send(
      {
        method: "POST",
        url: `/api/clubs/${me.clubs[0]?.id}/import`,
        payload: text,
        headers: { "content-type": "application/x-ndjson" },
      },
      person.cookie,
    );
    expect([answer.statusCode, answer.json()]).toEqual([200, { done: true }]);
  });

  it("comes back as it was, as often as that is asked for, to whoever may build", async () => {
    const { start, plan } = club.ids;
    await as("coach")("PUT", `/api/:club/plans/${plan}`, { version: 1, body: planBody("Laps") });
    const link = (await as("owner")("POST", `/api/:club/starts/${start}/shares`, { until: "day" })).body;
    const before = (await as("coach")("GET", `/api/:club/starts/${start}`)).body;
    await remove();
    expect((await restore("assistant")).status).toBe(403);
    expect((await restore("athlete")).status).toBe(403);
    const { person } = await server.signUp("Others");
    expect((await person.ask("POST", `/api/:club/starts/${start}/restore`)).status).toBe(404);
    for (const answer of [await restore(), await restore()]) {
      const { version, stamp } = answer.body;
      expect(answer).toMatchObject({ status: 200, body: { ...before, version, stamp } });
      expect(version).toBe(before.version + 1);
    }
    expect((await as("coach")("GET", `/api/:club/plans/${plan}/edits`)).body.edits).toHaveLength(1);
    expect((await server.send({ url: `/api/shared/${link.token}` })).statusCode).toBe(200);
    const trail = (await as("owner")("GET", "/api/:club/audit")).body.entries;
    expect(trail.slice(0, 2).map((e: { action: string }) => e.action)).toEqual([
      "start.restore",
      "start.delete",
    ]);
  });

  it("is gone for good after an hour, and with it what a club had; before that it is no athlete's either", async () => {
    await remove();
    await purge(server);
    await as("owner")("POST", `/api/:club/athletes/${club.ids.athlete}/anonymise`);
    const back = (await restore()).body;
    expect(back.athlete.name).toMatch(/^Athlete /);
    await remove();
    await server.sequelize.query(
      "UPDATE starts SET deleted_at = now() - interval '61 minutes' WHERE id = $1",
      {
        bind: [club.ids.start],
      },
    );
    await purge(server);
    expect((await restore()).status).toBe(404);
    const rows = await server.models.Plan.count({ where: { id: club.ids.plan } });
    expect(rows).toBe(0);
  });

  it("can be had back as one of the last that were deleted, not of any number", async () => {
    await remove();
    // Deleted later, as many as there may be.
    await server.sequelize.query(
      `INSERT INTO starts (id, club_id, athlete_id, title, venue, zone, starts_at, ready_at, deleted_at)
        SELECT gen_random_uuid(), club_id, athlete_id, 'Made', venue, zone, starts_at, ready_at, now() + interval '1 second'
        FROM starts, generate_series(1, ${MOST.deletedStarts}) WHERE id = $1`,
      { bind: [club.ids.start] },
    );
    const another = await makeStart(club.people.coach);
    await as("coach")("DELETE", `/api/:club/starts/${another.id}`);
    expect((await restore()).status).toBe(404);
    const kept = await server.models.Start.count({ where: { clubId: club.clubId }, paranoid: false });
    expect(kept).toBe(MOST.deletedStarts);
  });

  it("is not in the way of an import into the club it was in", async () => {
    const text = await exported();
    const { person, me } = await server.signUp("Empty");
    const clubId = me.clubs[0]?.id as string;
    const headers = { "content-type": "application/x-ndjson" };
    const url = `/api/clubs/${clubId}/import`;
    const read = () => server.send({ method: "POST", url, payload: text, headers }, person.cookie);
    await read();
    // Everything goes again, one by one; what was imported has the ids that come once more.
    await server.sequelize.query(
      `UPDATE starts SET deleted_at = now() WHERE club_id = '${clubId}';
       DELETE FROM runs WHERE club_id = '${clubId}'; DELETE FROM templates WHERE club_id = '${clubId}';
       DELETE FROM drills WHERE club_id = '${clubId}'; UPDATE starts SET event_id = NULL WHERE club_id = '${clubId}';
       DELETE FROM event_types WHERE club_id = '${clubId}'`,
    );
    await server.models.Start.destroy({ where: { clubId }, force: true });
    await server.models.Athlete.destroy({ where: { clubId } });
    expect((await read()).json()).toEqual({ done: true });
  });
});

describe("moving a start", () => {
  const move = (role: keyof FullClub["people"], start: Start, more: object) =>
    as(role)("POST", `/api/:club/starts/${start.id}/move`, { version: start.version, ...more });
  const read = async () => (await as("coach")("GET", `/api/:club/starts/${club.ids.start}`)).body as Start;

  it("is for whoever may run: it stands for everybody, on the list as it was, and the athlete is ready when they were", async () => {
    const start = await read();
    const moved = (await move("assistant", start, { startsAt: at(start, 10) })).body as Start;
    expect(moved).toEqual({
      ...start,
      version: 2,
      stamp: moved.stamp,
      startsAt: at(start, 10),
      listedAt: start.startsAt,
    });
    expect(await read()).toEqual(moved);
    // Before it was to be ready, it is ready at the start; taken back, as it was.
    const early = (await move("assistant", moved, { startsAt: at(start, -60) })).body as Start;
    expect(early.readyAt).toBe(early.startsAt);
    const { startsAt, readyAt } = start;
    const back = (await move("coach", early, { startsAt, readyAt })).body as Start;
    expect([back.startsAt, back.readyAt, back.listedAt, back.version]).toEqual([
      startsAt,
      readyAt,
      start.listedAt,
      4,
    ]);
    const far = (await move("coach", back, { startsAt: at(start, 24 * 60) })).body as Start;
    expect(Date.parse(far.startsAt) - Date.parse(far.readyAt)).toBe(LONGEST_AVAILABLE_SECONDS * 1000);
  });

  it("is for nobody else, of no other club, and against no other version than was read", async () => {
    const start = await read();
    const startsAt = at(start, 10);
    expect((await move("athlete", start, { startsAt })).status).toBe(403);
    const { person } = await server.signUp("Others");
    const other = await person.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt });
    expect(other.status).toBe(404);
    expect((await move("coach", start, { startsAt })).status).toBe(200);
    // The same move again is one move; another against the old version is told what stands.
    expect((await move("assistant", start, { startsAt })).body.version).toBe(2);
    const late = await move("assistant", start, { startsAt: at(start, 5) });
    expect([late.status, late.body.code, late.body.current.startsAt]).toEqual([
      409,
      "version_conflict",
      startsAt,
    ]);
  });

  it.each([
    ["no time", {}, "startsAt"],
    ["a time of another century", { startsAt: "2150-01-01T00:00:00.000Z" }, "startsAt"],
    [
      "ready after the start",
      { startsAt: "2098-06-01T12:00:00.000Z", readyAt: "2098-06-01T12:01:00.000Z" },
      "readyAt",
    ],
  ])("needs %s mended, and says where", async (_, body, path) => {
    const answer = await move("coach", await read(), body);
    expect([answer.status, answer.body.path]).toEqual([400, path]);
  });
});

describe("a start that is copied", () => {
  it("begins with the other's warm-up as it stands, with ids of its own, and pairs that hold", async () => {
    const body = planBody("Laps", "Hops");
    const [laps, hops] = body.items as [ReturnType<typeof planItem>, ReturnType<typeof planItem>];
    const pair = { ...body, items: [laps, { ...hops, after: laps.id }] };
    await as("coach")("PUT", `/api/:club/plans/${club.ids.plan}`, { version: 1, body: pair });
    const id = randomUUID();
    const wanted = { id, ...startInput(club.ids.athlete), planOf: club.ids.start };
    for (const answer of [
      await as("coach")("POST", "/api/:club/starts", wanted),
      // Sent again because its answer was lost, it is made once.
      await as("coach")("POST", "/api/:club/starts", wanted),
    ]) {
      const { items } = (answer.body as Start).plan.body;
      expect([answer.status, answer.body.plan.version, items.map((i) => i.name)]).toEqual([
        201,
        1,
        ["Laps", "Hops"],
      ]);
      expect(items[1]?.after).toBe(items[0]?.id);
      expect(items.some((i) => i.id === laps.id || i.id === hops.id)).toBe(false);
    }
    expect((await as("coach")("GET", "/api/:club/starts")).body.starts).toHaveLength(2);
  });

  it("is none of what another club has, nor of what is gone", async () => {
    const foreign = await makeStart(server);
    for (const planOf of [foreign.id, randomUUID()]) {
      const answer = await as("coach")("POST", "/api/:club/starts", {
        ...startInput(club.ids.athlete),
        planOf,
      });
      expect([answer.status, answer.body.path]).toEqual([400, "planOf"]);
    }
    expect((await as("coach")("GET", "/api/:club/starts")).body.starts).toHaveLength(1);
  });
});
