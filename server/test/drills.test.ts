import { randomUUID } from "node:crypto";
import type { Drill, ShelfDrill } from "@tonodrome/core/api";
import { drillInput, makeStart, planItem } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const make = async (name: string): Promise<Drill> =>
  (await server.ask("POST", "/api/:club/drills", drillInput(name))).body;
const write = (drill: Drill, changes: object = {}) => {
  const { id: _, changedAt: __, ...rest } = drill;
  return { ...rest, ...changes };
};
const save = (drill: Drill, changes: object = {}) =>
  server.ask("PUT", `/api/:club/drills/${drill.id}`, write(drill, changes));
const shelf = async (): Promise<ShelfDrill[]> => (await server.ask("GET", "/api/:club/drills")).body.drills;

it("is changed against the version that was read; an older one is refused with the newer in hand", async () => {
  const drill = await make("Hops");
  const changed = await save(drill, { name: "High hops", intensity: 55 });
  expect(changed).toMatchObject({ status: 200, body: { version: 2, name: "High hops", intensity: 55 } });
  expect(Date.parse(changed.body.changedAt)).toBeGreaterThanOrEqual(Date.parse(drill.changedAt));
  // Sent again because the answer was lost: it counts as saved.
  expect(await save(drill, { name: "High hops", intensity: 55 })).toEqual(changed);
  const stale = await save(drill, { name: "Low hops" });
  expect(stale).toMatchObject({
    status: 409,
    body: { code: "version_conflict", current: { name: "High hops" } },
  });
  expect((await shelf()).find((d) => d.id === drill.id)).toMatchObject({ version: 2, name: "High hops" });
});

it("lets exactly one of many who change it at once through", async () => {
  const drill = await make("Skips");
  const answers = await Promise.all([1, 2, 3, 4, 5].map((n) => save(drill, { intensity: n * 10 })));
  expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409, 409, 409]);
});

it("is taken off the shelf and put back, and the warm-ups that have it keep it as it was", async () => {
  const drill = await make("Swings");
  const { plan } = await makeStart(server);
  const item = { ...planItem("Swings"), drillId: drill.id };
  const body = { items: [item], wait: { leastSeconds: 60, longestSeconds: 300 }, stepPoints: 20 };
  await server.ask("PUT", `/api/:club/plans/${plan.id}`, { version: 1, body });
  expect((await shelf()).find((d) => d.id === drill.id)).toMatchObject({ uses: 1, archived: false });

  const off = (await save(drill, { archived: true })).body as Drill;
  const renamed = (await save(off, { name: "Wide swings" })).body as Drill;
  expect(renamed).toMatchObject({ archived: true, version: 3 });
  expect((await server.ask("GET", `/api/:club/plans/${plan.id}`)).body.body).toEqual(body);
  expect((await save(renamed, { archived: false })).body).toMatchObject({ archived: false, version: 4 });
  const trail = (await server.ask("GET", "/api/:club/audit")).body.entries;
  expect(trail.slice(0, 3).map((e: { action: string }) => e.action)).toEqual([
    "drill.restore",
    "drill.change",
    "drill.archive",
  ]);
});

it.each<[string, object, string]>([
  ["without a name", { name: " " }, "name"],
  [
    "floor above ideal",
    { dose: { ...planItem("x").dose, seconds: { floor: 90, ideal: 60, ceiling: 90 } } },
    "dose.seconds.floor",
  ],
  ["no version", { version: undefined }, "version"],
  ["an unknown field", { colour: "red" }, ""],
])("refuses a change %s, and changes nothing", async (_, changes, path) => {
  const drill = await make("Laps");
  expect((await save(drill, changes)).body).toMatchObject({ code: "invalid_input", path });
  expect((await shelf()).find((d) => d.id === drill.id)).toMatchObject({ version: 1, name: "Laps" });
});

it("is not found where it is not", async () => {
  const drill = await make("Gone");
  expect((await save({ ...drill, id: randomUUID() })).status).toBe(404);
});
