import { randomUUID } from "node:crypto";
import type { AddressInfo } from "node:net";
import net from "node:net";
import { changeSchema, TOPICS } from "@tonodrome/core/api";
import type { FastifyInstance } from "fastify";
import { buildApp } from "../src/app";
import { connect } from "../src/db/connect";
import { makeStart, planBody, runInput } from "./make";
import { fullClub } from "./people";
import { PASSWORD, type TestServer, testOptions, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

async function listening(options = {}): Promise<{ app: FastifyInstance; port: number }> {
  const app = await server.another(options);
  await app.listen({ port: 0, host: "127.0.0.1" });
  return { app, port: (app.server.address() as AddressInfo).port };
}

/** Sends bytes as they are and gives what came back once the connection is over. */
function raw(port: number, bytes: string, end = true): Promise<string> {
  return new Promise((resolve, reject) => {
    const socket = net.connect(port, "127.0.0.1", () => (end ? socket.end(bytes) : socket.write(bytes)));
    let text = "";
    socket.on("data", (chunk) => {
      text += chunk;
    });
    socket.on("close", () => resolve(text));
    socket.on("error", reject);
  });
}

const bodyOf = (text: string) => JSON.parse(text.slice(text.indexOf("\r\n\r\n") + 4));

it("works with one connection to the database", async () => {
  const small = await testServer({}, 1);
  const { people, ids } = await fullClub(small);
  const { owner } = people;
  expect(
    (await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 1, body: planBody("Laps") })).status,
  ).toBe(200);
  expect((await owner.ask("POST", `/api/:club/athletes/${ids.athlete}/anonymise`)).status).toBe(200);
  expect((await owner.ask("GET", "/api/:club/runs")).status).toBe(200);
  expect((await small.send({ method: "POST", url: "/api/auth/demo" })).statusCode).toBe(200);
  const text = await small.send({ url: `/api/clubs/${small.clubId}/export` }, small.owner.cookie);
  expect(text.body).toContain('"record":"end"');
  await small.close();
});

describe("every answer that is not what was asked for has the one documented shape", () => {
  const shape = { code: expect.any(String), message: expect.any(String) };
  it.each<[string, string, number]>([
    ["what is no HTTP", "hello\r\n\r\n", 400],
    [
      "an address that cannot be decoded",
      "GET /api/%zz HTTP/1.1\r\nhost: x\r\nconnection: close\r\n\r\n",
      400,
    ],
    ["a method that nobody knows", "BREW /api/me HTTP/1.1\r\nhost: x\r\nconnection: close\r\n\r\n", 400],
    ["headers without end", `GET / HTTP/1.1\r\nhost: x\r\nx: ${"y".repeat(40_000)}\r\n\r\n`, 431],
    [
      "a body that is no JSON",
      "POST /api/auth/sign-in HTTP/1.1\r\nhost: x\r\ncontent-type: application/json\r\ncontent-length: 3\r\nconnection: close\r\n\r\n{{{",
      400,
    ],
    [
      "a body of no type",
      "POST /api/auth/sign-in HTTP/1.1\r\nhost: x\r\ncontent-type: text/x\r\ncontent-length: 3\r\nconnection: close\r\n\r\nabc",
      415,
    ],
    [
      "an address that is not there",
      "GET /api/nothing HTTP/1.1\r\nhost: x\r\nconnection: close\r\n\r\n",
      404,
    ],
    [
      "a very long address",
      `GET /api/shared/${"x".repeat(3000)} HTTP/1.1\r\nhost: x\r\nconnection: close\r\n\r\n`,
      400,
    ],
    [
      "a key that is a prototype's",
      'POST /api/auth/sign-in HTTP/1.1\r\nhost: x\r\ncontent-type: application/json\r\ncontent-length: 16\r\nconnection: close\r\n\r\n{"__proto__":{}}',
      400,
    ],
  ])("%s", async (_, bytes, status) => {
    const { port } = await listening();
    const text = await raw(port, bytes);
    expect(text).toMatch(new RegExp(`^HTTP/1.1 ${status} `));
    expect(bodyOf(text)).toMatchObject(shape);
    expect(bodyOf(text)).toHaveProperty("path");
  });
});

it("lets nobody send a body for as long as they like", async () => {
  const { port } = await listening({ bodyPatience: 200, leastRate: { every: 200, bytes: 1_000 } });
  const head =
    "POST /api/auth/sign-in HTTP/1.1\r\nhost: x\r\ncontent-type: application/json\r\ncontent-length: 1000\r\n\r\n";
  const began = performance.now();
  await raw(port, `${head}{"email":`, false).catch(() => "");
  expect(performance.now() - began).toBeLessThan(5_000);
  const cookie = server.owner.cookie;
  const importing = `POST /api/clubs/${server.clubId}/import HTTP/1.1\r\nhost: x\r\ncookie: ${cookie}\r\ncontent-type: application/x-ndjson\r\ncontent-length: 1000\r\n\r\n`;
  await raw(port, `${importing}{"format":`, false).catch(() => "");
  expect(performance.now() - began).toBeLessThan(10_000);
  // The club is there to be imported into afterwards.
  expect(await server.models.Athlete.count({ where: { clubId: server.clubId } })).toBe(0);
});

it("is not ready while its database does not answer, and says so soon", async () => {
  const url = "postgresql://nobody@127.0.0.1:1/none";
  const away = await buildApp(connect(url), testOptions(url));
  expect((await away.inject("/ready")).statusCode).toBe(503);
  await away.close();
  // One that is there and answers nobody: every connection is taken.
  const small = await testServer({}, 1);
  const held = await small.sequelize.transaction();
  const began = performance.now();
  const answer = await small.send({ url: "/ready" });
  expect(answer.json()).toMatchObject({ code: "unavailable" });
  expect(performance.now() - began).toBeLessThan(5_000);
  expect((await small.send({ url: "/health" })).statusCode).toBe(200);
  await held.rollback();
  await small.close();
}, 20_000);

it("gives up a write that waits for somebody else's, in words, and saves nothing of it", async () => {
  const { plan } = await makeStart(server);
  const held = await server.sequelize.transaction();
  await server.models.Plan.findOne({ where: { id: plan.id }, transaction: held, lock: held.LOCK.UPDATE });
  const answer = await server.ask("PUT", `/api/:club/plans/${plan.id}`, {
    version: 1,
    body: planBody("Laps"),
  });
  expect(answer).toMatchObject({ status: 503, body: { code: "unavailable" } });
  await held.rollback();
  expect((await server.ask("GET", `/api/:club/plans/${plan.id}`)).body.version).toBe(1);
}, 20_000);

it("saves nothing of which it cannot write the answer", async () => {
  const { person, me } = await server.signUp("Was this");
  const clubId = me.clubs[0]?.id as string;
  const athlete = (await person.ask("POST", "/api/:club/athletes", { name: "Ada" })).body;
  // As if something had got past everything that keeps it out.
  await server.sequelize.query("UPDATE athletes SET version = 2000000000 WHERE id = $1", {
    bind: [athlete.id],
  });
  const write = { version: 2_000_000_000, name: "Bo", profile: athlete.profile };
  const answer = await person.ask("PUT", `/api/:club/athletes/${athlete.id}`, write);
  expect(answer).toMatchObject({
    status: 500,
    body: { message: expect.stringContaining("Nothing was saved") },
  });
  const row = await server.models.Athlete.findOne({ where: { clubId, id: athlete.id } });
  expect(row).toMatchObject({ version: 2_000_000_000, name: "Ada" });
});

it("answers to its own names only, where it knows them", async () => {
  const app = await server.another({ hosts: ["hall.example"] });
  const ask = (host: string) => app.inject({ url: "/api/auth", headers: { host } });
  expect((await ask("hall.example")).statusCode).toBe(200);
  expect((await ask("HALL.example:8080")).statusCode).toBe(200);
  expect((await ask("evil.example")).json()).toMatchObject({ code: "invalid_input" });
});

it("tells browsers to come by TLS only where that is chosen, and no store to keep what is private", async () => {
  const plain = await server.send({ url: "/api/me" }, server.owner.cookie);
  expect(plain.headers["strict-transport-security"]).toBeUndefined();
  expect(plain.headers["cache-control"]).toBe("no-store");
  const app = await server.another({ hstsDays: 30 });
  expect((await app.inject("/health")).headers["strict-transport-security"]).toBe(
    "max-age=2592000; includeSubDomains",
  );
  for (const url of ["/api/auth", "/api/shared/nothing", `/api/clubs/${server.clubId}/athletes`])
    expect((await server.send({ url }, server.owner.cookie)).headers["cache-control"]).toBe("no-store");
});

it("limits what one person reads, and who signs in often has no more", async () => {
  const small = await testServer({ readsPerMinute: 6 });
  const read = async () => (await small.ask("GET", "/api/:club/athletes")).status;
  const answers: number[] = [];
  for (let i = 0; i < 8; i++) answers.push(await read());
  expect(answers).toEqual([...Array(6).fill(200), 429, 429]);
  const again = await small.send({
    method: "POST",
    url: "/api/auth/sign-in",
    payload: { email: small.owner.email, password: PASSWORD },
  });
  const cookie = String(again.headers["set-cookie"]).split(";")[0] as string;
  expect((await small.askWith(cookie, small.clubId)("GET", "/api/:club/athletes")).status).toBe(429);
  await small.close();
});

describe("streams", () => {
  const until = async (done: () => boolean) => {
    for (let i = 0; i < 200 && !done(); i++) await new Promise((resolve) => setTimeout(resolve, 25));
    expect(done()).toBe(true);
  };
  const follow = async (port: number, path: string, cookie: string) => {
    const controller = new AbortController();
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
      headers: { cookie },
      signal: controller.signal,
    });
    const heard = { status: answer.status, text: "", ended: false, stop: () => controller.abort() };
    (async () => {
      const decoder = new TextDecoder();
      for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>)
        heard.text += decoder.decode(chunk);
      heard.ended = true;
    })().catch(() => undefined);
    return heard;
  };

  it("are so many for one person, and there is room again when one is closed", async () => {
    const { port } = await listening();
    const path = `/api/clubs/${server.clubId}/changes`;
    const open = [];
    for (let i = 0; i < 30; i++) open.push(await follow(port, path, server.owner.cookie));
    expect(open.every((o) => o.status === 200)).toBe(true);
    const beyond = await follow(port, path, server.owner.cookie);
    expect(beyond.status).toBe(429);
    const { person, me } = await server.signUp();
    const other = await follow(port, `/api/clubs/${me.clubs[0]?.id}/changes`, person.cookie);
    expect(other.status).toBe(200);
    for (const o of [...open.slice(0, 5), other]) o.stop();
    let status = 429;
    await until(() => {
      void follow(port, path, server.owner.cookie).then((o) => {
        status = o.status;
        open.push(o);
      });
      return status === 200;
    });
    for (const o of open) o.stop();
  });

  it("of a running order end with the right to run, at once", async () => {
    const { people, clubId, ids } = await fullClub(server);
    const { app, port } = await listening();
    void app;
    const path = `/api/clubs/${clubId}/starts/${ids.start}/order/changes?seed=1`;
    const heard = await follow(port, path, people.assistant.cookie);
    expect(heard.status).toBe(200);
    const change = { role: "athlete", athleteId: ids.athlete, was: "assistant" };
    expect(
      (await people.owner.ask("PUT", `/api/:club/members/${people.assistant.userId}`, change)).status,
    ).toBe(200);
    let name = 0;
    await until(() => {
      // A server that has just come up may not be listening yet.
      void people.owner.ask("PUT", "/api/:club", { name: `Renamed ${name++}` });
      return heard.ended;
    });
  });

  it("tell every kind of change after an import", async () => {
    const { person, me } = await server.signUp("Taken in");
    const clubId = me.clubs[0]?.id as string;
    const { port } = await listening();
    const heard = await follow(port, `/api/clubs/${clubId}/changes`, person.cookie);
    const lines = [
      { format: "tonodrome-club", version: 3, name: "Club" },
      { record: "end", records: 0 },
    ];
    const answer = await fetch(`http://127.0.0.1:${port}/api/clubs/${clubId}/import`, {
      method: "POST",
      headers: { "content-type": "application/x-ndjson", cookie: person.cookie },
      body: lines.map((line) => `${JSON.stringify(line)}\n`).join(""),
    });
    expect(answer.status).toBe(200);
    await until(() => TOPICS.every((topic) => heard.text.includes(`"topic":"${topic}"`)));
    heard.stop();
  });

  it("say which start a change is about", async () => {
    const { port } = await listening();
    const heard = await follow(port, `/api/clubs/${server.clubId}/changes`, server.owner.cookie);
    const start = await makeStart(server);
    let version = 1;
    await until(() => {
      void server
        .ask("PUT", `/api/:club/plans/${start.plan.id}`, { version, body: planBody(`Laps ${version}`) })
        .then((a) => {
          if (a.status === 200) version = a.body.version;
        });
      return heard.text.includes(`{"topic":"starts","id":"${start.id}"}`);
    });
    heard.stop();
  });

  it("say which presses a run has more, where they are few: whoever made them has them", async () => {
    const { port } = await listening();
    const heard = await follow(port, `/api/clubs/${server.clubId}/changes`, server.owner.cookie);
    const run = runInput((await makeStart(server)).id);
    expect((await server.ask("POST", "/api/:club/runs", run)).status).toBe(201);
    const press = (ids: string[]) =>
      server.ask("POST", `/api/:club/runs/${run.id}/events`, {
        events: ids.map((id) => ({ id, at: new Date().toISOString(), kind: "hold" })),
      });
    const ids = Array.from({ length: 12 }, () => randomUUID());
    const told = () =>
      heard.text
        .split("\n")
        .filter((line) => line.startsWith("data: "))
        .map((line) => changeSchema.parse(JSON.parse(line.slice("data: ".length))))
        .filter((change) => change.id === run.id);
    await until(() => {
      // A server that has just come up may not be listening yet.
      void press(ids.slice(0, 1));
      return told().length > 0;
    });
    expect(told()).toContainEqual({ topic: "runs", id: run.id, presses: ids.slice(0, 1) });
    // Told together, and only while they are few.
    await Promise.all([press(ids.slice(1, 2)), press(ids.slice(2, 3))]);
    await until(() => ids.slice(1, 3).every((id) => told().some((t) => t.presses?.includes(id))));
    await press(ids.slice(3));
    await until(() => told().some((t) => t.presses === undefined));
    heard.stop();
  });
});
