import { gzipSync } from "node:zlib";
import { DAY_MS } from "@tonodrome/core";
import fc from "fast-check";
import type { InjectOptions } from "fastify";
import { QueryTypes } from "sequelize";
import type { z } from "zod";
import { cases } from "../../core/test/made/cases";
import { broken, fromSchema, type Known, nasty } from "./fromSchema";
import { planBody } from "./make";
import { type FullClub, fullClub, IN_TIME } from "./people";
import { RULES } from "./rules";
import { type TestServer, testServer } from "./testServer";

/** Tries for each route: half of what its schemas take, half broken somewhere. */
const TRIES = 20;

/** Most further tries, unbroken ones, for a route that has taken nothing yet: its schema alone cannot say what fits. */
const MOST_MORE = 400;

interface RouteSchema {
  body?: z.ZodType;
  querystring?: z.ZodType;
}

type Method = NonNullable<InjectOptions["method"]>;

let server: TestServer;
beforeAll(async () => {
  // Each demo is a club full of things, and all of it is compared after every request.
  server = await testServer({ demos: 1 });
});
afterAll(() => server.close());

/** Streams do not end by themselves; a whole club is fuzzed on its own, in clubFile.test. */
const names = Object.keys(RULES).filter((name) => !/\/(changes|import)$/.test(name));

/** What asks for a secret or a name that nobody guesses, or for a club that is empty. */
const NEVER_TAKEN = new Set([
  "POST /api/auth/sign-in",
  "POST /api/auth/reset",
  "POST /api/me/delete",
  "POST /api/auth/demo",
  "GET /api/invites/:token",
  "POST /api/invites/:token/sign-up",
  "POST /api/invites/:token/accept",
  "POST /api/me/password",
  "DELETE /api/clubs/:clubId",
  "POST /api/clubs/:clubId/leave",
]);

/**
 * Everything that is stored, as one text: two are equal only where nothing at all was written between them. PostgreSQL puts
 * each row that is written in a new place under a new transaction; of runs the contents count, whose summaries come later.
 */
async function fingerprint(): Promise<string> {
  const tables = await server.sequelize.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.tables
      WHERE table_schema = 'public' AND table_name NOT IN ('rate_limits', 'SequelizeMeta') ORDER BY 1`,
    { type: QueryTypes.SELECT },
  );
  const [row] = await server.sequelize.query<object>(
    `SELECT ${tables
      // What the log shows of a run is summed up a little after it was pressed.
      .map(({ name }) =>
        name === "runs"
          ? `(SELECT md5(string_agg(t::text, '|' ORDER BY t::text))
                FROM (SELECT to_jsonb(r) - 'summary' - 'summed' AS t FROM runs r) t) AS runs`
          : `(SELECT md5(string_agg(ctid::text || xmin::text, '|' ORDER BY ctid)) FROM ${name}) AS ${name}`,
      )
      .join(", ")}`,
    { type: QueryTypes.SELECT },
  );
  return JSON.stringify(row);
}

/** Fields that name what there is in a club. */
const knownIn = ({ ids }: FullClub): Known => ({
  athleteId: fc.constantFrom(ids.athlete, null),
  startId: fc.constant(ids.start),
  eventId: fc.constantFrom(ids.event, null),
  eventIds: fc.constantFrom([ids.event], []),
  key: fc.constantFrom("archery", "general-preparation"),
  easier: fc.constantFrom(null, ids.drill),
  harder: fc.constant(null),
  instead: fc.constant(null),
  version: fc.integer({ min: 1, max: 4 }),
  was: fc.constant("coach"),
  until: fc.constantFrom("day", IN_TIME),
  ids: fc.constantFrom(ids.start, `${ids.start},${ids.run}`),
});

/** A whole file is seldom right in all of its parts by chance. */
const FILE: Known = {
  version: fc.constant(1),
  plan: fc.constant(planBody("Laps")),
  shelf: fc.constant([]),
  figures: fc.constant([]),
  context: fc.constant(undefined),
  humidity: fc.constant(undefined),
};

const knownFor = (name: string, club: FullClub): Known =>
  name.endsWith("/judge") ? { ...knownIn(club), ...FILE } : knownIn(club);

const realNow = Date.now;
afterEach(() => {
  Date.now = realNow;
});

/** How a request comes besides what it says: its body compressed, and while the server's clock is days off. */
const oddly = fc.record({
  pressed: fc.oneof(
    { weight: 9, arbitrary: fc.constant(false) },
    { weight: 1, arbitrary: fc.constant(true) },
  ),
  clockOff: fc.oneof(
    { weight: 8, arbitrary: fc.constant(0) },
    { weight: 1, arbitrary: fc.constant(40 * DAY_MS) },
    { weight: 1, arbitrary: fc.constant(-40 * DAY_MS) },
  ),
});

/** Ids for an address: the right one of this club, others of it, made-up ones, and what is none. */
function anyId(url: string, { ids, shareToken, calendarToken }: FullClub): fc.Arbitrary<string> {
  const kind = /:clubId\/(\w+?)s\/:/.exec(url)?.[1];
  const ofKind = kind === "member" ? ids.user : ids[kind as keyof typeof ids];
  const right = url.includes("/shared/")
    ? shareToken
    : url.includes("/calendars/:token")
      ? calendarToken
      : ofKind;
  return fc.oneof(
    { weight: 12, arbitrary: fc.constant(right ?? "none") },
    { weight: 1, arbitrary: fc.constantFrom(...Object.values(ids)) },
    { weight: 1, arbitrary: fc.uuid() },
    {
      weight: 1,
      arbitrary: fc.string().map((s) => encodeURIComponent(s.replace(/[\ud800-\udfff]/g, "?")) || "_"),
    },
  );
}

function unbroken(schema: z.ZodType | undefined, known: Known): fc.Arbitrary<unknown> {
  return schema ? fromSchema(schema, known) : fc.constant(undefined);
}

function maybeBroken(schema: z.ZodType | undefined, known: Known): fc.Arbitrary<unknown> {
  if (!schema) return fc.oneof({ weight: 3, arbitrary: fc.constant(undefined) }, nasty);
  const values = fromSchema(schema, known);
  return fc.oneof(values, broken(values));
}

it.each(names)(
  "%s, with whatever its schemas take or do not: no fault of the server's, and nothing half written",
  async (name) => {
    const [method, url] = name.split(" ") as [Method, string];
    const route = server.app.routeTable.find((r) => r.method === method && r.url === url);
    const schema = (route?.schema ?? {}) as RouteSchema;
    const club = await fullClub(server);
    const { cookie } = club.people.owner;
    let before = await fingerprint();
    let taken = 0;
    const sent = (bodies: fc.Arbitrary<unknown>) =>
      fc.asyncProperty(
        anyId(url, club),
        bodies,
        maybeBroken(schema.querystring, knownFor(name, club)),
        oddly,
        async (id, body, query, { pressed, clockOff }) => {
          const path = url.replace(":clubId", club.clubId).replace(/:(id|userId|token)/, id);
          const json = body === undefined || method === "GET" ? undefined : JSON.stringify(body);
          // The server's own clock may be wrong by days; the database's is what counts.
          Date.now = () => realNow() + clockOff;
          const answer = await server.send(
            {
              method,
              url: `${path}${queryString(query)}`,
              ...(json === undefined
                ? {}
                : {
                    payload: pressed ? gzipSync(json) : json,
                    headers: {
                      "content-type": "application/json",
                      ...(pressed ? { "content-encoding": "gzip" } : {}),
                    },
                  }),
            },
            cookie,
          );
          Date.now = realNow;
          if (pressed && json !== undefined) expect(answer.statusCode).toBe(415);
          expect(answer.statusCode).toBeLessThan(500);
          const after = await fingerprint();
          if (answer.statusCode < 400) taken++;
          if (answer.statusCode >= 400) {
            const said = answer.json();
            expect(said).toMatchObject({ code: expect.any(String), message: expect.any(String) });
            expect(said).toHaveProperty("path");
            // A refused edit of a plan is kept on purpose, beside the plan it did not change.
            if (said.code !== "version_conflict") expect(after).toBe(before);
          }
          before = after;
        },
      );
    await fc.assert(sent(maybeBroken(schema.body, knownFor(name, club))), cases(TRIES, 6));
    if (NEVER_TAKEN.has(name)) return;
    // Were nothing ever taken, this would only try the first check of each route.
    for (let more = 0; taken === 0 && more < MOST_MORE; more++) {
      await fc.assert(sent(unbroken(schema.body, knownFor(name, club))), { numRuns: 1 });
    }
    expect(taken).toBeGreaterThan(0);
  },
  60_000,
);

it("after all of that every start has its plan, and every stored text can still be read", async () => {
  const count = async (sql: string) =>
    (await server.sequelize.query<{ n: string }>(sql, { type: QueryTypes.SELECT }))[0]?.n;
  expect(
    await count(`SELECT count(*) AS n FROM starts s WHERE NOT EXISTS (
      SELECT 1 FROM plans p WHERE p.club_id = s.club_id AND p.start_id = s.id)`),
  ).toBe("0");
  expect(
    await count(`SELECT count(*) AS n FROM plans p WHERE version > 1 AND NOT EXISTS (
      SELECT 1 FROM plan_edits e WHERE e.club_id = p.club_id AND e.plan_id = p.id
        AND e.version = p.version AND e.outcome = 'saved' AND e.body = p.body)`),
  ).toBe("0");
});

function queryString(query: unknown): string {
  if (typeof query !== "object" || query === null)
    return query === undefined ? "" : `?${encodeSafely(query)}`;
  const pairs = Object.entries(query).filter(([, v]) => v !== undefined);
  return pairs.length === 0
    ? ""
    : `?${pairs.map(([k, v]) => `${encodeSafely(k)}=${encodeSafely(v)}`).join("&")}`;
}

function encodeSafely(value: unknown): string {
  return encodeURIComponent(
    String(typeof value === "object" ? JSON.stringify(value) : value).replace(/[\ud800-\udfff]/g, "?"),
  );
}
