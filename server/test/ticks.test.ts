import { randomUUID } from "node:crypto";
import { MOST } from "@tonodrome/core/api";
import { usualDay } from "@tonodrome/core/day";
import { mergeTicks, type Tick } from "@tonodrome/core/lists";
import fc from "fast-check";
import { makeStart } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const [ONE, TWO] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"] as const;
const tick = (line: string, minute: number, isOn = true, by: string = ONE): Tick => ({
  step: "pack",
  line,
  isOn,
  at: new Date(Date.UTC(2026, 5, 1, 20, minute)).toISOString(),
  by,
});
const url = (id: string) => `/api/:club/starts/${id}/ticks`;

it("of two phones, in any order and again, are merged as each phone merges them", async () => {
  const any = fc.record({
    line: fc.constantFrom("Skates", "Dress"),
    minute: fc.nat(3),
    isOn: fc.boolean(),
    by: fc.constantFrom(ONE, TWO),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(fc.array(any, { maxLength: 4 }), { maxLength: 4 }), async (sent) => {
      const { id } = await makeStart(server);
      const ticks = sent.map((list) => list.map((t) => tick(t.line, t.minute, t.isOn, t.by)));
      for (const list of [...ticks, ...ticks.toReversed()])
        expect((await server.ask("POST", url(id), { ticks: list })).status).toBe(200);
      expect((await server.ask("GET", url(id))).body).toEqual({ ticks: mergeTicks(...ticks) });
    }),
    { numRuns: 15 },
  );
}, 60_000);

it("at once from many, all count", async () => {
  const { id } = await makeStart(server);
  await Promise.all(
    Array.from({ length: 12 }, (_, n) => server.ask("POST", url(id), { ticks: [tick(`Line ${n % 6}`, n)] })),
  );
  const { ticks } = (await server.ask("GET", url(id))).body;
  expect(ticks.map((t: Tick) => [t.line, t.at])).toEqual(
    Array.from({ length: 6 }, (_, n) => [`Line ${n}`, tick("", n + 6).at]),
  );
});

it("an athlete ticks off their own lists and nobody else's; of no start, and of another club, there are none", async () => {
  const [own, others] = [await makeStart(server), await makeStart(server)];
  const athlete = await server.member("athlete", own.athlete.id);
  expect((await athlete.ask("POST", url(own.id), { ticks: [tick("Skates", 1)] })).status).toBe(200);
  expect((await athlete.ask("POST", url(others.id), { ticks: [tick("Skates", 1)] })).status).toBe(404);
  expect((await server.ask("GET", url(others.id))).body).toEqual({ ticks: [] });
  const stranger = (await server.signUp()).person;
  for (const id of [randomUUID(), own.id])
    expect((await stranger.ask("POST", url(id), { ticks: [tick("Skates", 1)] })).status).toBe(404);
});

it("is refused of the future, in too many at once, and beyond what a start may have: whole", async () => {
  const { id } = await makeStart(server);
  const future = { ...tick("Skates", 1), at: new Date(Date.now() + 3 * 3_600_000).toISOString() };
  expect((await server.ask("POST", url(id), { ticks: [tick("Dress", 1), future] })).body).toMatchObject({
    code: "invalid_input",
    path: "ticks.1.at",
  });
  const many = (from: number, length: number) =>
    Array.from({ length }, (_, n) => tick(`Line ${from + n}`, 1));
  const long = await server.ask("POST", url(id), { ticks: many(0, MOST.ticksTogether + 1) });
  expect([long.status, long.body.path]).toEqual([400, "ticks"]);
  for (let from = 0; from + 100 <= MOST.ticksOfStart; from += 100)
    expect((await server.ask("POST", url(id), { ticks: many(from, 100) })).status).toBe(200);
  const beyond = await server.ask("POST", url(id), {
    ticks: [tick("Line 0", 2, false), tick("One more", 2)],
  });
  expect(beyond.body).toMatchObject({ code: "full" });
  const { ticks } = (await server.ask("GET", url(id))).body;
  expect(ticks).toHaveLength(MOST.ticksOfStart);
  expect(ticks.every((t: Tick) => t.isOn)).toBe(true);
  // What is there already can be changed.
  expect((await server.ask("POST", url(id), { ticks: [tick("Line 0", 3, false)] })).status).toBe(200);
});

it("of whoever holds a link come back to the coach, until the link is over; of a forged one none", async () => {
  const { id } = await makeStart(server);
  const link = (
    await server.ask("POST", `/api/:club/starts/${id}/shares`, {
      until: new Date(Date.now() + 3_600_000).toISOString(),
    })
  ).body;
  const send = (token: string, ticks: Tick[]) =>
    server.send({ method: "POST", url: `/api/shared/${token}/ticks`, payload: { ticks } });
  const steps = usualDay({
    ...{ startsAt: "2098-06-01T12:30:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 1800, event: null },
    travel: { usual: 5, bad: 9 },
  }).map((step) => (step.id === "pack" ? { ...step, list: ["Skates", "Dress"] } : step));
  const day = await server.ask("PUT", `/api/:club/starts/${id}/day`, { version: 1, steps });
  expect(day.status).toBe(200);
  // What is in no list of the day is nobody's to tick off: made-up lines would shut the lists for everybody.
  expect((await send(link.token, [tick("Skates", 1), tick("Made up", 1)])).json()).toMatchObject({
    code: "invalid_input",
    path: "ticks.1.line",
  });
  expect((await send(link.token, [tick("Skates", 1)])).json()).toEqual({ ticks: [tick("Skates", 1)] });
  expect((await server.ask("GET", url(id))).body).toEqual({ ticks: [tick("Skates", 1)] });
  await server.ask("POST", url(id), { ticks: [tick("Skates", 2, false, TWO)] });
  const seen = await server.send({ url: `/api/shared/${link.token}/ticks` });
  expect(seen.json()).toEqual({ ticks: [tick("Skates", 2, false, TWO)] });
  const future = { ...tick("Skates", 1), at: new Date(Date.now() + 3 * 3_600_000).toISOString() };
  expect((await send(link.token, [future])).json()).toMatchObject({
    code: "invalid_input",
    path: "ticks.0.at",
  });
  expect((await send("forged", [tick("Skates", 1)])).statusCode).toBe(404);
  await server.ask("DELETE", `/api/:club/shares/${link.id}`);
  expect((await send(link.token, [tick("Dress", 5)])).json()).toMatchObject({ code: "link_over" });
  expect((await server.ask("GET", url(id))).body.ticks).toHaveLength(1);
});
