import { randomUUID } from "node:crypto";
import fc from "fast-check";
import { makeStart, planBody, planItem, startInput } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
let startId: string;
let planId: string;
beforeAll(async () => {
  server = await testServer();
  const start = await makeStart(server);
  startId = start.id;
  planId = start.plan.id;
});
afterAll(() => server.close());

/** Values that have broken something somewhere before. */
const nasty = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    "",
    " ",
    "\u0000",
    "\ud800",
    "\u202ename",
    "'; DROP TABLE starts; --",
    "<script>alert(1)</script>",
    "名前 اسم नाम 🤸🏽‍♀️",
    "x".repeat(5000),
    -1,
    0,
    2.4,
    1e308,
    2 ** 53,
    true,
    [],
    {},
    [[[[[]]]]],
    { __proto__: null, constructor: 1 },
    "2026-02-30T00:00:00.000Z",
    "275760-09-13T00:00:00.000Z",
  ),
  fc.jsonValue({ maxDepth: 3 }),
);

/** A valid body with one thing in it, at any depth, replaced by something nasty, or with something added. */
function broken(valid: unknown): fc.Arbitrary<unknown> {
  const paths = pathsOf(valid);
  return fc
    .tuple(fc.constantFrom(...paths), nasty, fc.boolean())
    .map(([path, value, adds]) => withAt(valid, adds ? [...path.slice(0, -1), "surprise"] : path, value));
}

function pathsOf(value: unknown, at: string[] = []): string[][] {
  if (typeof value !== "object" || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...at, key]))];
}

function withAt(value: unknown, [key, ...rest]: string[], put: unknown): unknown {
  if (key === undefined) return put;
  const copy = Array.isArray(value) ? [...value] : { ...(value as object) };
  (copy as Record<string, unknown>)[key] = withAt((value as Record<string, unknown>)?.[key], rest, put);
  return copy;
}

const run = {
  id: randomUUID(),
  startId: "",
  plan: {
    drills: [
      {
        itemId: randomUUID(),
        name: "Laps",
        phase: "raise",
        intensity: 20,
        focus: "",
        place: "",
        words: "2:00",
        plannedSeconds: 120,
      },
    ],
    waitSeconds: 60,
    startsAt: "2026-06-01T12:30:00.000Z",
  },
};
const { id: _id, drillId: _drillId, ...drill } = planItem("Hop");

const writes: [string, "POST" | "PUT", () => string, () => unknown][] = [
  ["an athlete", "POST", () => "/api/athletes", () => ({ name: "Ada" })],
  ["a drill", "POST", () => "/api/drills", () => drill],
  ["a start", "POST", () => "/api/starts", () => startInput(randomUUID())],
  [
    "a moved start",
    "PUT",
    () => `/api/starts/${startId}`,
    () => ({ version: 1, ...startInput(randomUUID()) }),
  ],
  ["a plan", "PUT", () => `/api/plans/${planId}`, () => ({ version: 1, body: planBody("Laps") })],
  ["a run", "POST", () => "/api/runs", () => ({ ...run, startId })],
  [
    "a press",
    "POST",
    () => `/api/runs/${randomUUID()}/events`,
    () => ({ events: [{ id: randomUUID(), at: "2026-06-01T12:00:00.000Z", kind: "begin" }] }),
  ],
];

it.each(writes)(
  "%s made of anything is answered below 500, in the one shape of errors",
  async (_, method, url, valid) => {
    await fc.assert(
      fc.asyncProperty(broken(valid()), async (body) => {
        const answer = await server.ask(method, url(), body ?? null);
        expect(answer.status).toBeLessThan(500);
        if (answer.status >= 400) {
          expect(answer.body).toMatchObject({ code: expect.any(String), message: expect.any(String) });
          expect(answer.body).toHaveProperty("path");
        }
      }),
      { numRuns: 120 },
    );
  },
);

it("addresses made of anything are answered below 500", async () => {
  await fc.assert(
    fc.asyncProperty(fc.string(), fc.constantFrom("starts", "plans", "runs"), async (text, resource) => {
      const id = encodeURIComponent(text.replace(/[\ud800-\udfff]/g, "?"));
      for (const url of [
        `/api/${resource}/${id}`,
        `/api/${resource}?from=${id}`,
        `/api/${resource}?before=${id}`,
      ]) {
        expect((await server.app.inject(url)).statusCode).toBeLessThan(500);
      }
    }),
    { numRuns: 60 },
  );
});
