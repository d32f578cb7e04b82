import type { AddressInfo } from "node:net";
import { simulatedList, simulatedOrder } from "@tonodrome/core";
import { orderNewsSchema } from "@tonodrome/core/api";
import { makeStart, startWrite } from "./make";
import { fullClub } from "./people";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
  await server.app.listen({ port: 0, host: "127.0.0.1" });
});
afterAll(() => server.close());

/** The first event of a stream, and its answer's head. */
async function first(path: string, cookie: string) {
  const { port } = server.app.server.address() as AddressInfo;
  const stop = new AbortController();
  const answer = await fetch(`http://127.0.0.1:${port}${path}`, { signal: stop.signal, headers: { cookie } });
  if (!answer.ok) return { status: answer.status, type: null, event: await answer.json() };
  const decoder = new TextDecoder();
  let text = "";
  for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(chunk, { stream: true });
    if (/data: .*\n\n/.test(text)) break;
  }
  stop.abort();
  return {
    status: answer.status,
    type: answer.headers.get("content-type"),
    event: JSON.parse(/data: (.*)\n/.exec(text)?.[1] ?? "null"),
  };
}

it("tells at once how the order stands, says that it is simulated, and the same for the same seed", async () => {
  const start = await makeStart(server);
  const path = `/api/clubs/${server.clubId}/starts/${start.id}/order/changes`;
  const ask = (seed: number) => first(`${path}?seed=${seed}`, server.owner.cookie);
  const [one, again] = [await ask(5), await ask(5)];
  expect(one).toMatchObject({ status: 200, type: "text/event-stream" });
  expect(orderNewsSchema.parse(one.event)).toMatchObject({ simulated: true, before: expect.any(Number) });
  // Half a minute may have gone by in between, no more.
  expect(Math.abs(again.event.lateSeconds - one.event.lateSeconds)).toBeLessThan(30);
});

it("is one list for all who start at one place that day, and keeps the time listed of a start that moves", async () => {
  // A day that is over: what is said of it does not change any more.
  const day = { venue: "Hall", zone: "UTC" };
  const make = (startsAt: string) => makeStart(server, { ...day, startsAt, readyAt: startsAt });
  const ask = async (id: string) => {
    const path = `/api/clubs/${server.clubId}/starts/${id}/order/changes?seed=11`;
    return orderNewsSchema.parse((await first(path, server.owner.cookie)).event);
  };
  const list = simulatedList(11, { ...day, listedAt: "2026-06-01T12:00:00.000Z" });
  for (const listedAt of ["2026-06-01T10:00:00.000Z", "2026-06-01T12:34:00.000Z"]) {
    const start = await make(listedAt);
    const expected = simulatedOrder(list, Date.parse(listedAt), Date.now());
    expect(await ask(start.id)).toEqual(expected);
    const { startsAt } = expected;
    const moved = await server.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, { startsAt }));
    expect(moved.body).toMatchObject({ startsAt, listedAt });
    expect(await ask(start.id)).toEqual(expected);
  }
});

it("is for those who run, of their own club, and says what is wrong with a question", async () => {
  const { clubId, people } = await fullClub(server);
  const start = await makeStart(server);
  const path = (club: string, id: string) => `/api/clubs/${club}/starts/${id}/order/changes`;
  const asked = "?seed=1";
  expect((await first(path(server.clubId, start.id) + asked, people.owner.cookie)).status).toBe(404);
  expect((await first(path(clubId, start.id) + asked, people.owner.cookie)).status).toBe(404);
  expect((await first(path(clubId, start.id) + asked, people.athlete.cookie)).status).toBe(403);
  const bad = await first(`${path(server.clubId, start.id)}?seed=noon`, server.owner.cookie);
  expect([bad.status, bad.event.code, bad.event.path]).toEqual([400, "invalid_input", "seed"]);
});
