import { randomUUID } from "node:crypto";
import { makeStart, orderInput } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** Two starts on one list, numbers 2 and 3: at half past and at 34 minutes past. */
async function onList() {
  const first = await makeStart(server);
  const second = await makeStart(server, { startsAt: "2098-06-01T12:34:00.000Z" });
  const { body: order } = await server.ask("POST", "/api/:club/orders", orderInput(first.id, second.id));
  return { first, second, order };
}
const start = async (id: string) => (await server.ask("GET", `/api/:club/starts/${id}`)).body;
/** Tells who is on, as of a moment; that it is in the far future is the tests' own. */
const now = (id: string, number: number, at: string, who = server.owner) =>
  who.ask("POST", `/api/:club/orders/${id}/now`, { number, at });
const past = (minute: number) => new Date(Date.UTC(2026, 5, 1, 10, minute)).toISOString();

it("has the club's own by number, and each start says where it stands", async () => {
  const { first, second, order } = await onList();
  expect(order).toMatchObject({ version: 1, title: "Free skate", calls: [] });
  expect(order.starts.map((s: { id: string; number: number }) => [s.id, s.number])).toEqual([
    [first.id, 2],
    [second.id, 3],
  ]);
  expect(await start(first.id)).toMatchObject({ order: { id: order.id, number: 2 }, version: 2 });
  expect((await server.ask("GET", `/api/:club/orders/${order.id}`)).body).toEqual(order);
});

/** The same list on a day that has been, so that calls can be made on it. */
async function onPastList(startsAt: [string, string] = [past(4), past(8)]) {
  const readyAt = past(0);
  const first = await makeStart(server, { startsAt: startsAt[0], readyAt });
  const second = await makeStart(server, { startsAt: startsAt[1], readyAt });
  const slots = Array.from({ length: 6 }, (_, i) => ({ number: i + 1, at: past(i * 4) }));
  const input = { ...orderInput(first.id, second.id), slots };
  const { body: order } = await server.ask("POST", "/api/:club/orders", input);
  return { first, second, order };
}

it("who is on now moves everybody who comes after, once, and leaves the list's time", async () => {
  const { first, second, order } = await onPastList();
  const answer = await now(order.id, 1, past(5));
  expect(answer.status).toBe(200);
  expect(await start(first.id)).toMatchObject({ startsAt: past(9), listedAt: past(4), readyAt: past(0) });
  expect(await start(second.id)).toMatchObject({ startsAt: past(13), listedAt: past(8) });
  // The answer was lost, and it is said again: nothing more happens.
  expect((await now(order.id, 1, past(5))).body).toEqual(answer.body);
  // From 1 to 2 took seven minutes: the third is to be expected seven after the second, who is on and stays where they were.
  await now(order.id, 2, past(12));
  expect(await start(first.id)).toMatchObject({ startsAt: past(9) });
  expect(await start(second.id)).toMatchObject({ startsAt: past(19) });
  // A slip: it is the first after all.
  await now(order.id, 1, past(6));
  expect((await server.ask("GET", `/api/:club/orders/${order.id}`)).body.calls).toEqual([
    { number: 1, at: past(6) },
  ]);
  expect(await start(second.id)).toMatchObject({ startsAt: past(14) });
});

it("said by two at once, both are kept and the starts agree with what stands", async () => {
  const { second, order } = await onPastList();
  const both = await Promise.all([now(order.id, 1, past(3)), now(order.id, 2, past(9))]);
  expect(both.map((b) => b.status)).toEqual([200, 200]);
  const { calls } = (await server.ask("GET", `/api/:club/orders/${order.id}`)).body;
  // If the first was said last, the second is taken back.
  const expected = calls.length === 2 ? past(15) : past(11);
  expect(await start(second.id)).toMatchObject({ startsAt: expected });
});

it("is refused ahead of the clock, beyond the list, and for what is not there", async () => {
  const { order } = await onPastList();
  expect((await now(order.id, 1, "2098-06-01T12:00:00.000Z")).body).toMatchObject({ path: "at" });
  expect((await now(order.id, 7, past(1))).body).toMatchObject({ path: "number" });
  expect((await now(randomUUID(), 1, past(1))).status).toBe(404);
});

it("an assistant may say who is on, and not write the list; an athlete neither", async () => {
  const { order } = await onPastList();
  const assistant = await server.member("assistant");
  expect((await now(order.id, 1, past(1), assistant)).status).toBe(200);
  expect((await assistant.ask("POST", "/api/:club/orders", orderInput())).status).toBe(403);
  const athlete = await server.member("athlete", (await makeStart(server)).athlete.id);
  expect((await now(order.id, 2, past(5), athlete)).status).toBe(403);
});

it("is written against the version that was read, with its starts, and gone it leaves them standing", async () => {
  const { first, second, order } = await onList();
  const { title: _, ...rest } = orderInput(second.id);
  const wanted = { ...rest, title: "Final" };
  const put = (version: number) => server.ask("PUT", `/api/:club/orders/${order.id}`, { version, ...wanted });
  const saved = await put(1);
  expect(saved.body).toMatchObject({ version: 2, title: "Final" });
  expect((await put(1)).body).toEqual(saved.body);
  const other = await server.ask("PUT", `/api/:club/orders/${order.id}`, { version: 1, ...orderInput() });
  expect(other.body).toMatchObject({ code: "version_conflict", current: { title: "Final" } });
  expect(await start(first.id)).toMatchObject({ order: null });
  expect(await start(second.id)).toMatchObject({ order: { number: 2 } });
  expect((await server.ask("DELETE", `/api/:club/orders/${order.id}`)).status).toBe(200);
  expect(await start(second.id)).toMatchObject({ order: null, title: "Free skate" });
});

it("takes no start twice, none that is not the club's, and no number that is not on the list", async () => {
  const { first } = await onList();
  const make = (starts: object[]) => server.ask("POST", "/api/:club/orders", { ...orderInput(), starts });
  expect((await make([{ startId: randomUUID(), number: 1 }])).body).toMatchObject({
    path: "starts.0.startId",
  });
  expect((await make([{ startId: first.id, number: 7 }])).body).toMatchObject({ path: "starts.0.number" });
  const twice = [1, 1].map((number) => ({ number, at: past(0) }));
  expect(
    (await server.ask("POST", "/api/:club/orders", { ...orderInput(), slots: twice })).body,
  ).toMatchObject({
    code: "invalid_input",
    path: "slots",
  });
});
