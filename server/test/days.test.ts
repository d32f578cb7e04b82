import { randomUUID } from "node:crypto";
import type { Day } from "@tonodrome/core/api";
import { type DayStep, usualDay } from "@tonodrome/core/day";
import { eventInput, makeStart, startInput } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const steps: DayStep[] = usualDay({
  startsAt: "2098-06-01T12:30:00.000Z",
  zone: "Europe/Vienna",
  warmUpSeconds: 2700,
  event: null,
  travel: { usual: 25, bad: 40 },
});
const longer = (minutes: number) =>
  steps.map((s) => (s.kind === "travel" ? { ...s, minutes: { usual: minutes } } : s));

/** Something of each kind that has a day. */
async function owners() {
  const start = await makeStart(server);
  const event = (await server.ask("POST", "/api/:club/events", eventInput("Short"))).body;
  return [`starts/${start.id}`, `events/${event.id}`, `athletes/${start.athlete.id}`];
}

it("of a start, an event and an athlete is none until one is saved, then reads as it was written, until it is put back", async () => {
  for (const of of await owners()) {
    const url = `/api/:club/${of}/day`;
    expect((await server.ask("GET", url)).body).toEqual({ version: 1, steps: null });
    expect((await server.ask("PUT", url, { version: 1, steps })).body).toEqual({ version: 2, steps });
    expect((await server.ask("GET", url)).body).toEqual({ version: 2, steps });
    expect((await server.ask("PUT", url, { version: 2, steps: null })).body).toEqual({
      version: 3,
      steps: null,
    });
  }
});

it("an edit against another version is refused with what stands; the same one sent again counts as saved", async () => {
  const [of] = await owners();
  const url = `/api/:club/${of}/day`;
  const both = await Promise.all([5, 6].map((m) => server.ask("PUT", url, { version: 1, steps: longer(m) })));
  expect(both.map((a) => a.status).sort()).toEqual([200, 409]);
  const saved = both.find((a) => a.status === 200)?.body as Day;
  expect(both.find((a) => a.status === 409)?.body).toMatchObject({
    code: "version_conflict",
    current: saved,
  });
  const again = await server.ask("PUT", url, { version: 1, steps: saved.steps });
  expect([again.status, again.body]).toEqual([200, saved]);
});

it.each<[string, (all: DayStep[]) => unknown, string]>([
  ["no start", (all) => all.filter((s) => s.kind !== "start"), "steps"],
  [
    "two warm-ups",
    (all) => all.concat({ ...(all.find((s) => s.kind === "warm-up") as DayStep), id: "more" }),
    "steps",
  ],
  ["an id twice", (all) => [...all, { ...(all[0] as DayStep) }], `steps.${steps.length}.id`],
  [
    "a rule to nothing",
    (all) => all.map((s, i) => (i ? s : { ...s, rules: [{ kind: "straight-before", of: "no" }] })),
    "steps.0.rules.0.of",
  ],
  [
    "an endless way",
    (all) => all.map((s, i) => (i ? s : { ...s, minutes: { usual: 1e9 } })),
    "steps.0.minutes.usual",
  ],
  [
    "too many steps",
    (all) => all.concat(Array.from({ length: 100 }, (_, i) => ({ ...(all[0] as DayStep), id: `s${i}` }))),
    "steps",
  ],
])("is refused with %s, and nothing is kept of it", async (_, change, path) => {
  const [of] = await owners();
  const answer = await server.ask("PUT", `/api/:club/${of}/day`, { version: 1, steps: change(steps) });
  expect([answer.status, answer.body.code, answer.body.path]).toEqual([400, "invalid_input", path]);
  expect((await server.ask("GET", `/api/:club/${of}/day`)).body).toEqual({ version: 1, steps: null });
});

it("is of what there is in the club alone, and an athlete reads that of their own start", async () => {
  for (const kind of ["starts", "events", "athletes"]) {
    const url = `/api/:club/${kind}/${randomUUID()}/day`;
    expect((await server.ask("GET", url)).status).toBe(404);
    expect((await server.ask("PUT", url, { version: 1, steps })).status).toBe(404);
  }
  const [own, others] = [await makeStart(server), await makeStart(server)];
  const athlete = await server.member("athlete", own.athlete.id);
  expect((await athlete.ask("GET", `/api/:club/starts/${own.id}/day`)).status).toBe(200);
  expect((await athlete.ask("GET", `/api/:club/starts/${others.id}/day`)).status).toBe(404);
  const { person } = await server.signUp();
  expect((await person.ask("GET", `/api/clubs/${server.clubId}/starts/${own.id}/day`)).status).toBe(404);
});

it("goes with a start that is copied, and away with one that is deleted", async () => {
  const start = await makeStart(server);
  await server.ask("PUT", `/api/:club/starts/${start.id}/day`, { version: 1, steps });
  const copy = await server.ask("POST", "/api/:club/starts", {
    ...startInput(start.athlete.id),
    planOf: start.id,
  });
  expect((await server.ask("GET", `/api/:club/starts/${copy.body.id}/day`)).body).toEqual({
    version: 1,
    steps,
  });
  await server.ask("DELETE", `/api/:club/starts/${start.id}`);
  expect((await server.ask("GET", `/api/:club/starts/${start.id}/day`)).status).toBe(404);
  await server.ask("POST", `/api/:club/starts/${start.id}/restore`);
  expect((await server.ask("GET", `/api/:club/starts/${start.id}/day`)).body.steps).toEqual(steps);
});
