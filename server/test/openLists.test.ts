import { HOUR_MS } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { type DayStep, usualDay } from "@tonodrome/core/day";
import { eventInput, makeStart } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const DEVICE = "11111111-1111-4111-8111-111111111111";
const at = (fromNow: number) => ({
  startsAt: new Date(Date.now() + fromNow).toISOString(),
  readyAt: new Date(Date.now() + fromNow - HOUR_MS / 2).toISOString(),
});
const open = async () => (await server.ask("GET", "/api/:club/open-lists")).body.lists;
const tick = (start: Start, step: string, line: string, isOn = true) =>
  server.ask("POST", `/api/:club/starts/${start.id}/ticks`, {
    ticks: [{ step, line, isOn, at: new Date().toISOString(), by: DEVICE }],
  });

it("a usual day's list counts once somebody begins to tick, and no more when all of it is ticked off", async () => {
  const event = (await server.ask("POST", "/api/:club/events", { ...eventInput("Short"), kit: ["Skates"] }))
    .body;
  const start = await makeStart(server, { ...at(5 * HOUR_MS), eventId: event.id });
  // What is to be there on arrival is told from the beginning.
  const arrival = { startId: start.id, name: "Kit on arrival", kind: "settle", open: ["Skates"], lines: 1 };
  expect(await open()).toEqual([arrival]);
  await tick(start, "kit", "Skates");
  expect(await open()).toEqual([]);
  await tick(start, "pack", "Drink");
  expect(await open()).toEqual([
    {
      startId: start.id,
      name: "Pack the bag from its list",
      kind: "pack",
      open: ["Skates", "Food", "Warm clothes", "Dry clothes"],
      lines: 5,
    },
  ]);
  for (const line of ["Skates", "Food", "Warm clothes", "Dry clothes"]) await tick(start, "pack", line);
  expect(await open()).toEqual([]);
  await tick(start, "pack", "Food", false);
  expect(await open()).toMatchObject([{ open: ["Food"] }]);
  // Packed is not the same as there.
  await tick(start, "kit", "Skates", false);
  expect(await open()).toMatchObject([{ open: ["Food"] }, arrival]);
  await server.ask("DELETE", `/api/:club/starts/${start.id}`);
  expect(await open()).toEqual([]);
});

it("a day of the start's own counts from the beginning, that of the athlete once it is begun; only of what is next", async () => {
  const [soon, far] = [await makeStart(server, at(5 * HOUR_MS)), await makeStart(server, at(60 * HOUR_MS))];
  const usual = usualDay({
    startsAt: soon.startsAt,
    zone: soon.zone,
    warmUpSeconds: 1800,
    event: null,
    travel: { usual: 25, bad: 40 },
  });
  const listed = (list: string[]) => usual.map((s): DayStep => (s.id === "pack" ? { ...s, list } : s));
  for (const { id } of [soon, far])
    await server.ask("PUT", `/api/:club/starts/${id}/day`, { version: 1, steps: listed(["Flag"]) });
  expect(await open()).toMatchObject([{ startId: soon.id, open: ["Flag"], lines: 1 }]);
  await server.ask("PUT", `/api/:club/starts/${soon.id}/day`, { version: 2, steps: null });
  expect(await open()).toEqual([]);
  await server.ask("PUT", `/api/:club/athletes/${soon.athlete.id}/day`, {
    version: 1,
    steps: listed(["Drum", "Flute"]),
  });
  await tick(soon, "pack", "Flute");
  expect(await open()).toMatchObject([{ open: ["Drum"], lines: 2 }]);
  // An athlete sees their own, and nobody else's.
  const own = await server.member("athlete", soon.athlete.id);
  const other = await server.member("athlete", far.athlete.id);
  expect((await own.ask("GET", "/api/:club/open-lists")).body.lists).toHaveLength(1);
  expect((await other.ask("GET", "/api/:club/open-lists")).body.lists).toEqual([]);
});
