import { randomUUID } from "node:crypto";
import { gzipSync } from "node:zlib";
import {
  accountDeletionSchema,
  clubHeadSchema,
  clubRecordSchema,
  MOST,
  runEventsInputSchema,
} from "@tonodrome/core/api";
import { starterShelfSchema } from "@tonodrome/core/starter";
import fc from "fast-check";
import { z } from "zod";
import { cases } from "../../core/test/made/cases";
import { defOf } from "../src/validation/def";
import { mostOf, shapeFaults } from "../src/validation/shapeFaults";
import { readValue } from "../src/validation/validate";
import { fromSchema } from "./fromSchema";
import { drillInput, eventInput, makeStart, planBody, startInput } from "./make";
import { fullClub } from "./people";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

interface Found {
  path: string;
  schema: z.ZodType;
}

/** Every schema within one, by the path that leads there. */
function* within(schema: z.ZodType, path: string, seen = new Set<z.ZodType>()): Generator<Found> {
  if (seen.has(schema)) return;
  seen.add(schema);
  yield { path, schema };
  const def = defOf(schema);
  for (const [key, inner] of Object.entries(def.shape ?? {})) yield* within(inner, `${path}.${key}`, seen);
  if (def.element) yield* within(def.element, `${path}[]`, seen);
  for (const [i, option] of (def.options ?? []).entries()) yield* within(option, `${path}|${i}`, seen);
  if (def.innerType) yield* within(def.innerType, path, seen);
  if (def.in) yield* within(def.in, path, seen);
}

type Parts = Record<string, z.ZodType | Record<string, z.ZodType> | undefined>;

/** What comes in: bodies, queries and addresses of every route, and the files that are read. */
function inputs(): Found[] {
  const roots: [string, z.ZodType][] = [
    ["club file head", clubHeadSchema],
    ["club file record", clubRecordSchema],
    ["starter file", starterShelfSchema],
  ];
  for (const { method, url, schema } of server.app.routeTable) {
    const parts = (schema ?? {}) as Parts;
    for (const part of ["body", "querystring", "params"])
      if (parts[part]) roots.push([`${method} ${url} ${part}`, parts[part] as z.ZodType]);
  }
  return roots.flatMap(([name, schema]) => [...within(schema, name)]);
}

/** What goes out. */
function outputs(): Found[] {
  return server.app.routeTable.flatMap(({ method, url, schema }) =>
    Object.entries(((schema ?? {}) as Parts).response ?? {}).flatMap(([status, answer]) => [
      ...within(answer as z.ZodType, `${method} ${url} ${status}`),
    ]),
  );
}

const named = (found: Found[]) => [...new Set(found.map((f) => f.path))];
const isFormat = ({ format, checks = [] }: ReturnType<typeof defOf>) =>
  format ?? checks.find((c) => c._zod.def.check === "string_format")?._zod.def.format;

describe("every schema of the API, walked,", () => {
  it("has a most for every list, of what comes in and of what goes out", () => {
    const all = [...inputs(), ...outputs()].filter(({ schema }) => defOf(schema).type === "array");
    expect(all.length).toBeGreaterThan(60);
    expect(named(all.filter(({ schema }) => !Number.isFinite(mostOf(schema))))).toEqual([]);
  });

  it("has a most for every text that comes in", () => {
    const texts = inputs().filter(({ schema }) => defOf(schema).type === "string");
    expect(texts.length).toBeGreaterThan(60);
    const huge = "x".repeat(1_000_001);
    expect(named(texts.filter(({ schema }) => schema.safeParse(huge).success))).toEqual([]);
  });

  it("has no text that a database cannot hold", () => {
    const texts = inputs().filter(({ schema }) => defOf(schema).type === "string");
    for (const bad of ["a long enough text\u0000", "a long enough text\ud800"])
      expect(named(texts.filter(({ schema }) => schema.safeParse(bad).success))).toEqual([]);
  });

  it("has a least and a most for every number that comes in", () => {
    const numbers = inputs().filter(({ schema }) => defOf(schema).type === "number");
    expect(numbers.length).toBeGreaterThan(40);
    const takes = (n: number) => named(numbers.filter(({ schema }) => schema.safeParse(n).success));
    expect(takes(1e15)).toEqual([]);
    expect(takes(-1e15)).toEqual([]);
  });

  it("has no instant of another century", () => {
    const instants = inputs().filter(({ schema }) =>
      ["datetime", "date"].includes(isFormat(defOf(schema)) ?? ""),
    );
    expect(instants.length).toBeGreaterThan(8);
    for (const far of ["9999-01-01T00:00:00.000Z", "0001-01-01T00:00:00.000Z", "9999-01-01", "0001-01-01"])
      expect(named(instants.filter(({ schema }) => schema.safeParse(far).success))).toEqual([]);
  });

  it("takes no field that it does not know", () => {
    const open = inputs().filter(({ schema }) => {
      const def = defOf(schema) as { type: string; catchall?: z.ZodType };
      return def.type === "object" && (!def.catchall || defOf(def.catchall).type !== "never");
    });
    expect(named(open)).toEqual([]);
  });
});

describe("an input that is wrong in millions of places", () => {
  const list = z.strictObject({ items: z.array(z.strictObject({ n: z.number() })).max(1_000_000) });

  it.each<[string, unknown]>([
    ["a list of other things", { items: Array(500_000).fill(1) }],
    ["a list longer than it may be", { items: Array(1_000_001).fill({ n: 1 }) }],
    [
      "fields that nobody knows",
      { items: [], ...Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`f${i}`, 1])) },
    ],
  ])("is told of at most %# twenty, and looked at for no longer: %s", (_, value) => {
    const read = readValue(list, value);
    if (!("problems" in read)) throw new Error("It was taken.");
    expect(read.problems.length).toBeGreaterThan(0);
    expect(read.problems.length).toBeLessThanOrEqual(MOST.problems);
    expect(JSON.stringify(read.problems).length).toBeLessThan(12_000);
  });

  it("is not asked of the schema at all, which would find everything", () => {
    let asked = 0;
    const counting = z.array(z.number().refine(() => ++asked > 0)).max(1_000_000);
    expect(shapeFaults(counting, Array(200_000).fill("no"))).toHaveLength(MOST.problems);
    expect(asked).toBe(0);
  });

  it("is let through to the schema where it has the right shape, whose words are better", () => {
    const event = { id: randomUUID(), at: "2026-06-01T12:00:00.000Z", kind: "extend", seconds: -1 };
    expect(shapeFaults(runEventsInputSchema, { events: [event] })).toBeNull();
    expect(readValue(runEventsInputSchema, { events: [event] })).toMatchObject({
      problems: [{ path: "events.0.seconds" }],
    });
    expect(readValue(accountDeletionSchema, { password: "" })).toMatchObject({
      problems: [{ path: "password", message: "Give your password." }],
    });
  });

  it("is never found where the schema itself finds nothing: whatever a schema takes has the right shape", () => {
    for (const { method, url, schema } of server.app.routeTable) {
      const body = ((schema ?? {}) as Parts).body as z.ZodType | undefined;
      if (!body) continue;
      fc.assert(
        fc.property(fromSchema(body), (value) => {
          const sent = JSON.parse(JSON.stringify(value));
          if (body.safeParse(sent).success)
            expect([method, url, shapeFaults(body, sent, 1)]).toEqual([method, url, null]);
        }),
        cases(60),
      );
    }
  });

  it("sent as a request answers in a few words", async () => {
    const { plan } = await makeStart(server);
    const answer = await server.send(
      {
        method: "PUT",
        url: `/api/clubs/${server.clubId}/plans/${plan.id}`,
        payload: { version: 1, body: { ...planBody("Laps"), items: Array(300_000).fill(0) } },
      },
      server.owner.cookie,
    );
    expect(answer.statusCode).toBe(400);
    expect(answer.json()).toMatchObject({ code: "invalid_input", path: "body.items" });
    expect(answer.body.length).toBeLessThan(20_000);
    const long = await server.ask("POST", "/api/:club/drills", { [`x${"y".repeat(200_000)}`]: 1 });
    expect(JSON.stringify(long.body).length).toBeLessThan(20_000);
  });
});

it("inflates no request, on any route", async () => {
  const { clubId } = server;
  const payload = gzipSync(JSON.stringify({ name: "Ada" }));
  for (const [method, url] of [
    ["POST", `/api/clubs/${clubId}/import`],
    ["POST", `/api/clubs/${clubId}/athletes`],
    ["POST", "/api/auth/sign-in"],
  ] as const) {
    for (const encoding of ["gzip", "deflate", "br", "x-anything"]) {
      const answer = await server.send(
        {
          method,
          url,
          payload,
          headers: { "content-type": "application/json", "content-encoding": encoding },
        },
        server.owner.cookie,
      );
      expect([url, encoding, answer.json().code]).toEqual([url, encoding, "unsupported_media_type"]);
    }
  }
});

it("refuses a starter file nested without end, and one that is not text, in words", async () => {
  const install = (text: string) => server.ask("POST", "/api/:club/starters", { text });
  for (const text of ["[".repeat(400_000), `{"a":`.repeat(100_000), "\ufeff{}", "\u0000"]) {
    const answer = await install(text);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code: "invalid_input", path: "text" });
  }
});

describe("what there may be of everything has a most", () => {
  it("of a club's things, of links, and of clubs that one belongs to", async () => {
    const { people, clubId, ids } = await fullClub(server);
    const { owner } = people;
    const fill = (table: string, columns: string, values: string, most: number) =>
      server.sequelize.query(
        `INSERT INTO ${table} (id, club_id, ${columns})
          SELECT gen_random_uuid(), $1, ${values} FROM generate_series(1, ${most}) n`,
        { bind: [clubId] },
      );
    await fill("athletes", "name", "'A'", MOST.athletes - 1);
    await fill("event_types", "name, body", `'E', '${JSON.stringify(eventInput("E"))}'`, MOST.events - 1);
    await fill("templates", "name, body", `'T', '${JSON.stringify(planBody("T"))}'`, MOST.templates - 1);
    const made = await Promise.all(
      Array.from({ length: MOST.sharesOfStart + 3 }, () =>
        owner.ask("POST", `/api/:club/starts/${ids.start}/shares`, { until: "day" }),
      ),
    );
    expect(made.filter((a) => a.status === 201)).toHaveLength(MOST.sharesOfStart - 1);
    for (const [url, body] of [
      ["athletes", { name: "One too many" }],
      ["events", eventInput("One too many")],
      ["templates", { name: "One too many", body: planBody("T") }],
      [`starts/${ids.start}/shares`, { until: "day" }],
    ] as const) {
      const answer = await owner.ask("POST", `/api/:club/${url}`, body);
      expect([url, answer.status, answer.body.code]).toEqual([url, 409, "full"]);
      // Every list that is full can still be read.
      expect((await owner.ask("GET", `/api/:club/${url}`)).status).toBe(200);
    }
    for (let i = 1; i < MOST.clubs; i++) await owner.ask("POST", "/api/clubs", { name: `Club ${i}` });
    expect((await owner.ask("POST", "/api/clubs", { name: "More" })).body.code).toBe("full");
    expect((await owner.ask("GET", "/api/me")).body.clubs).toHaveLength(MOST.clubs);
  }, 30_000);

  it("of the edits of one warm-up: the oldest go, what stands never", async () => {
    const { plan } = await makeStart(server);
    await server.sequelize.query(
      `INSERT INTO plan_edits (club_id, plan_id, version, outcome, body)
        SELECT club_id, id, n, 'saved', body FROM plans, generate_series(1, ${MOST.edits}) n WHERE id = $1`,
      { bind: [plan.id] },
    );
    const saved = await server.ask("PUT", `/api/:club/plans/${plan.id}`, {
      version: 1,
      body: planBody("New"),
    });
    expect(saved.status).toBe(200);
    const where = { planId: plan.id };
    expect(await server.models.PlanEdit.count({ where })).toBe(MOST.edits);
    const [newest] = (await server.ask("GET", `/api/:club/plans/${plan.id}/edits`)).body.edits;
    expect(newest.body.items[0].name).toBe("New");
  });
});

describe("sent twice is made once:", () => {
  it.each<[string, (club: Awaited<ReturnType<typeof fullClub>>) => [string, object]]>([
    ["an athlete", () => ["athletes", { name: "Ada" }]],
    ["a drill", () => ["drills", drillInput("Hops")]],
    ["an event", () => ["events", eventInput("Final")]],
    ["a template", () => ["templates", { name: "Usual", body: planBody("T") }]],
    ["a start", ({ ids }) => ["starts", startInput(ids.athlete)]],
    ["an invitation", () => ["invites", { role: "coach", athleteId: null }]],
    ["a link", ({ ids }) => [`starts/${ids.start}/shares`, { until: "day" }]],
  ])("%s", async (_, what) => {
    const club = await fullClub(server);
    const { owner } = club.people;
    const [url, body] = what(club);
    const id = randomUUID();
    const make = () => owner.ask("POST", `/api/:club/${url}`, { ...body, id });
    const before = (await owner.ask("GET", "/api/:club/audit")).body.entries.length;
    const [first, second] = [await make(), await make()];
    expect([first.status, second.status]).toEqual([201, 201]);
    expect(second.body.id).toBe(id);
    const { token: _a, ...one } = first.body;
    const { token, ...two } = second.body;
    expect(two).toEqual(one);
    // The secret that was told last is the one that opens it.
    if (url === "invites") expect((await server.send({ url: `/api/invites/${token}` })).statusCode).toBe(200);
    if (url.endsWith("shares"))
      expect((await server.send({ url: `/api/shared/${token}` })).statusCode).toBe(200);
    expect((await owner.ask("GET", "/api/:club/audit")).body.entries).toHaveLength(before + 1);
  });

  it("a club, and an account whose first answer was lost", async () => {
    const { person } = await server.signUp();
    const id = randomUUID();
    for (let i = 0; i < 2; i++)
      expect((await person.ask("POST", "/api/clubs", { id, name: "Second" })).body.id).toBe(id);
    expect((await person.ask("GET", "/api/me")).body.clubs).toHaveLength(2);
    // Another's club is not there by its id either.
    expect((await server.ask("POST", "/api/clubs", { id, name: "Mine" })).status).toBe(404);
    const account = {
      name: "Ada",
      email: `${randomUUID()}@example.org`,
      password: "three odd words here",
      clubName: "C",
    };
    const signUp = () => server.send({ method: "POST", url: "/api/auth/sign-up", payload: account });
    const [first, second] = [await signUp(), await signUp()];
    expect([first.statusCode, second.statusCode]).toEqual([201, 201]);
    expect(second.json()).toEqual(first.json());
    const wrong = { ...account, password: "three other words here" };
    const taken = await server.send({ method: "POST", url: "/api/auth/sign-up", payload: wrong });
    expect(taken.json()).toMatchObject({ code: "taken", path: "email" });
  });
});
