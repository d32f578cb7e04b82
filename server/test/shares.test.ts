import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import { conditionsOf, contextOf } from "@tonodrome/core";
import { usualDay } from "@tonodrome/core/day";
import type { FastifyInstance } from "fastify";
import { endOf, latestEnd } from "../src/access/sharedLink";
import { eventInput, makeStart, planBody, runInput, startWrite } from "./make";
import { fullClub, IN_TIME } from "./people";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const NOON = new Date(Date.now() + 86_400_000).toISOString().replace(/T.*/, "T12:00:00.000Z");
const hours = (n: number) => new Date(Date.parse(NOON) + n * 3_600_000).toISOString();

/** A start tomorrow noon, in UTC, and a link to it. */
async function shared(until = "day") {
  const first = await makeStart(server);
  const changes = { zone: "UTC", startsAt: NOON, readyAt: hours(-1) };
  const start = (await server.ask("PUT", `/api/:club/starts/${first.id}`, startWrite(first, changes))).body;
  const link = (await server.ask("POST", `/api/:club/starts/${start.id}/shares`, { until })).body;
  return { start, link, open: () => server.send({ url: `/api/shared/${link.token}` }) };
}

it("shows one warm-up and nothing else to whoever holds the link", async () => {
  const { start, open } = await shared();
  const answer = await open();
  expect(answer.json()).toEqual({
    clubName: "Test club",
    athleteName: "Ada Finch",
    title: "Free skate",
    venue: "Hall",
    zone: "UTC",
    startsAt: NOON,
    readyAt: hours(-1),
    plan: start.plan.body,
    conditions: conditionsOf(start.setting),
    context: contextOf(start),
    day: {
      id: expect.stringMatching(/^[0-9a-f-]{36}$/),
      version: 4,
      steps: usualDay({
        startsAt: NOON,
        zone: "UTC",
        warmUpSeconds: 3600,
        event: null,
        travel: { usual: 25, bad: 40 },
      }),
    },
    group: 1,
    run: null,
    expiresAt: NOON.replace(/T.*/, "T00:00:00.000Z").replace(/^.{10}/, hours(24).slice(0, 10)),
  });
  for (const id of [start.id, start.plan.id, start.athlete.id, server.clubId]) {
    expect(answer.body).not.toContain(id);
  }
});

it("follows the run under way, without what is the coach's own, until it ends", async () => {
  const { start, open } = await shared();
  const input = runInput(start.id, randomUUID(), start.startsAt);
  const source = { plan: start.plan.body, context: contextOf(start) };
  const run = (await server.ask("POST", "/api/:club/runs", { ...input, plan: { ...input.plan, source } }))
    .body;
  const at = new Date().toISOString();
  const press = (more: object) =>
    server.ask("POST", `/api/:club/runs/${run.id}/events`, { events: [{ id: randomUUID(), at, ...more }] });
  await press({ kind: "begin" });
  await press({ kind: "clock", aheadSeconds: 100 });
  await press({ kind: "rating", ready: 2, first: "", note: "Sore hip" });
  const live = await open();
  expect(live.json().run.events.map((e: { kind: string }) => e.kind)).toEqual(["begin"]);
  expect(live.json().run.plan).toEqual(input.plan);
  expect(live.body).not.toContain("Sore hip");
  await press({ kind: "end" });
  expect((await open()).json().run).toBeNull();
});

it("no longer shows a run that nobody ended, half a day after it was last heard of", async () => {
  // In a club of its own: what is told of runs comes a while after them.
  const { owner } = (await fullClub(server)).people;
  const first = await makeStart(owner);
  const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
  const changes = { startsAt: ago(13), readyAt: ago(14) };
  const start = (await owner.ask("PUT", `/api/:club/starts/${first.id}`, startWrite(first, changes))).body;
  const shares = `/api/:club/starts/${start.id}/shares`;
  const link = (await owner.ask("POST", shares, { until: ago(-24) })).body;
  const begun = async (hoursAgo: number) => {
    const run = (await owner.ask("POST", "/api/:club/runs", runInput(start.id, randomUUID(), start.startsAt)))
      .body;
    const events = [{ id: randomUUID(), at: ago(hoursAgo), kind: "begin" }];
    await owner.ask("POST", `/api/:club/runs/${run.id}/events`, { events });
    return (await server.send({ url: `/api/shared/${link.token}` })).json().run;
  };
  expect(await begun(13)).toBeNull();
  expect(await begun(11)).toMatchObject({ events: [{ kind: "begin" }] });
});

it("cannot be written with, nor used for anything else", async () => {
  const { link } = await shared();
  for (const method of ["POST", "PUT", "DELETE"] as const) {
    expect((await server.send({ method, url: `/api/shared/${link.token}`, payload: {} })).statusCode).toBe(
      404,
    );
  }
  expect((await server.send({ url: `/api/invites/${link.token}` })).statusCode).toBe(404);
});

it("ends with the start's day at the venue, and that moves with the start", async () => {
  const { start, link } = await shared();
  const later = startWrite(start, { startsAt: hours(48), readyAt: hours(47) });
  await server.ask("PUT", `/api/:club/starts/${start.id}`, later);
  const [moved] = (await server.ask("GET", `/api/:club/starts/${start.id}/shares`)).body.shares;
  expect(Date.parse(moved.expiresAt) - Date.parse(link.expiresAt)).toBe(48 * 3_600_000);
});

it.each([
  ["expired", "has expired", "UPDATE shares SET expires_at = now() - interval '1 minute' WHERE id = $1"],
  [
    "over with its day",
    "has expired",
    `UPDATE starts SET starts_at = now() - interval '2 days', ready_at = now() - interval '2 days'
      WHERE id = (SELECT start_id FROM shares WHERE id = $1)`,
  ],
])("a link that is %s shows nothing", async (_, words, statement) => {
  const { link, open, start } = await shared();
  await server.sequelize.query(statement, { bind: [link.id] });
  const answer = await open();
  expect(answer.json()).toMatchObject({ code: "link_over", message: expect.stringContaining(words) });
  expect(answer.body).not.toContain(start.title);
  expect((await server.ask("GET", `/api/:club/starts/${start.id}/shares`)).body.shares).toEqual([]);
});

it("is withdrawn at once, and gone with the start, the athlete and the club; a forged one never was", async () => {
  const { link, open } = await shared();
  await server.ask("DELETE", `/api/:club/shares/${link.id}`);
  expect((await open()).json()).toMatchObject({
    code: "link_over",
    message: expect.stringContaining("withdrawn"),
  });
  expect((await server.ask("DELETE", `/api/:club/shares/${link.id}`)).status).toBe(404);

  const gone = await shared();
  await server.ask("DELETE", `/api/:club/starts/${gone.start.id}`);
  expect((await gone.open()).statusCode).toBe(404);
  const nameless = await shared();
  await server.ask("POST", `/api/:club/athletes/${nameless.start.athlete.id}/anonymise`);
  expect((await nameless.open()).statusCode).toBe(410);
  for (const token of [link.token.slice(1), `${link.token}A`, "%00", "x".repeat(300), randomUUID()]) {
    expect((await server.send({ url: `/api/shared/${token}` })).statusCode).toBeGreaterThanOrEqual(400);
    expect((await server.send({ url: `/api/shared/${token}` })).statusCode).toBeLessThan(500);
  }
});

it("is made until a time to come, not for a start whose day is over", async () => {
  const start = await makeStart(server);
  const past = await makeStart(server, {
    startsAt: "2026-06-01T12:30:00.000Z",
    readyAt: "2026-06-01T11:45:00.000Z",
  });
  const over = await server.ask("POST", `/api/:club/starts/${past.id}/shares`, { until: "day" });
  expect(over.body).toMatchObject({ code: "invalid_input", path: "until" });
  const make = (until: string) => server.ask("POST", `/api/:club/starts/${start.id}/shares`, { until });
  for (const until of ["2020-01-01T00:00:00.000Z", "tomorrow", "2099-01-01T00:00:00.000Z"]) {
    expect((await make(until)).body).toMatchObject({ code: "invalid_input", path: "until" });
  }
  expect((await make(IN_TIME)).status).toBe(201);
});

it("ends with its day, or when it was said, and never more than thirty days after its start", () => {
  const startsAt = new Date("2026-06-01T12:00:00.000Z");
  const DAY = 86_400_000;
  const after = (days: number) => new Date(startsAt.getTime() + days * DAY);
  const end = (expiresAt: Date | null) => endOf({ startsAt, zone: "UTC", steps: null, expiresAt });
  expect(end(null)).toEqual(new Date("2026-06-02T00:00:00.000Z"));
  expect(end(after(3))).toEqual(after(3));
  expect(end(after(30))).toEqual(after(30));
  // A start that is moved to an earlier day takes the link's end with it.
  expect(end(after(31))).toEqual(after(30));
  expect(latestEnd(startsAt)).toEqual(after(30));
});

describe("followed live", () => {
  const streams: AbortController[] = [];
  afterEach(() => {
    for (const stream of streams.splice(0)) stream.abort();
  });

  /** Listens to a stream on a server of its own; gives the topics told so far and whether it ended. */
  async function follow(app: FastifyInstance, path: string, cookie?: string) {
    const controller = new AbortController();
    streams.push(controller);
    const { port } = app.server.address() as AddressInfo;
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
      signal: controller.signal,
      headers: cookie ? { cookie } : {},
    });
    const heard = { status: answer.status, topics: [] as string[], text: "", ended: false };
    const read = async () => {
      const decoder = new TextDecoder();
      for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) {
        const text = decoder.decode(chunk, { stream: true });
        heard.text += text;
        for (const [, topic] of text.matchAll(/"topic":"(\w+)"/g)) heard.topics.push(topic as string);
      }
      heard.ended = true;
    };
    read().catch(() => undefined);
    return heard;
  }

  const until = async (done: () => boolean) => {
    for (let i = 0; i < 200 && !done(); i++) await new Promise((resolve) => setTimeout(resolve, 25));
    expect(done()).toBe(true);
  };

  it("tells of a change made on another server, of its own start only, and ends when withdrawn", async () => {
    const other = await server.another();
    await other.listen({ port: 0, host: "127.0.0.1" });
    const { start, link } = await shared();
    const unrelated = await shared();
    const heard = await follow(other, `/api/shared/${link.token}/changes`);
    const club = await follow(other, `/api/clubs/${server.clubId}/changes`, server.owner.cookie);
    expect([heard.status, club.status]).toEqual([200, 200]);

    const save = (s: typeof start, version: number) =>
      server.ask("PUT", `/api/:club/plans/${s.plan.id}`, { version, body: planBody(`Laps ${version}`) });
    // Repeated because a server that has just come up may not be listening yet.
    let version = 1;
    for (let tries = 0; tries < 200 && heard.topics.length === 0; tries++) {
      version = (await save(start, version)).body.version;
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
    expect(new Set(heard.topics)).toEqual(new Set(["starts"]));
    // What is told comes in order: once an event has been heard, every save has been.
    const tellEvent = () => server.ask("POST", "/api/:club/events", eventInput("Free"));
    await tellEvent();
    await until(() => heard.topics.includes("events") && club.topics.includes("events"));
    const [before, clubBefore] = [heard.topics.length, club.topics.length];
    await save(unrelated.start, 1);
    await tellEvent();
    await until(() => heard.topics.length > before && club.topics.length > clubBefore + 1);
    expect(club.topics.slice(clubBefore)).toEqual(["starts", "events"]);
    // Of another start nothing, and of its own no more than that there is something to read.
    expect(heard.topics.slice(before)).toEqual(["events"]);
    expect(heard.text).not.toContain(start.id);
    expect(club.text).toContain(start.id);

    await server.ask("DELETE", `/api/:club/shares/${link.id}`);
    await until(() => heard.ended);
  });

  it("ends a member's stream when they are taken out of the club", async () => {
    const { people, clubId } = await fullClub(server);
    const other = await server.another();
    await other.listen({ port: 0, host: "127.0.0.1" });
    const heard = await follow(other, `/api/clubs/${clubId}/changes`, people.coach.cookie);
    const stays = await follow(other, `/api/clubs/${clubId}/changes`, people.assistant.cookie);
    await people.owner.ask("DELETE", `/api/:club/members/${people.coach.userId}`);
    let name = 0;
    await until(() => {
      void people.owner.ask("PUT", "/api/:club", { name: `Renamed ${name++}` });
      return heard.ended;
    });
    expect(stays.ended).toBe(false);
  });

  it("ends every stream when the server stops, so that stopping does not wait for them", async () => {
    const other = await server.another();
    await other.listen({ port: 0, host: "127.0.0.1" });
    const { link } = await shared();
    const heard = await follow(other, `/api/shared/${link.token}/changes`);
    await other.close();
    await until(() => heard.ended);
  });
});
